# frozen_string_literal: true

module UprightBench
  module Services
    # One part, put on file or changed by hand. What holds for a list of parts holds for one.
    class KeepPart
      # @param number [String]
      # @param fields [Hash{Symbol=>Object}] of PartChanges::FIELDS
      # @param measures [Hash{String=>Numeric}] of the part, mm; those that are not named stay as they are
      # @param beside [Hash{Symbol=>Object}] attributes, contents, lies_at; those that are not named stay as they are
      # @param part [Models::Part, nil] the one that is changed; nil for a new one
      # @return [Models::Part]
      # @raise [Invalid] when the number is taken, or something stands against it
      def self.call(number, fields, measures:, by:, at:, part: nil, beside: {})
        Permissions.check!(:parts, by)
        Permissions.check!(:see_prices, by) if part.nil? # a new one needs a price
        fields = fields.except(*unseen(by)) # as it is on file
        DB.transaction do
          OneAtATime.wait("part", number) # of two who put one number on file, the second hears it
          changes = PartChanges.new([{ line: 1, number: number, **fields }], lock: true)
          refuse(number, changes, part)
          WriteParts.new(changes, by: by, at: at, how: "by hand").call if changes.changes.any?
          Models::Part.first(number: number)
            .tap { |kept| keep_beside(kept, { measures: measured(kept, measures), **beside }, by, at) }
        end
      end

      def self.unseen(by)
        { see_costs: :cost_cents, see_prices: :price_cents }.filter_map do |right, field|
          field unless Permissions.allow?(right, by)
        end
      end

      def self.refuse(number, changes, part)
        if part.nil? && Models::Part.where(number: number).any?
          raise Invalid, { number: ["is on file already: change that part"] }
        end

        problems = changes.problems.map { |words| words.delete_prefix("Line 1: ") }
        raise Invalid, { base: problems } if problems.any?
      end

      def self.measured(part, measures)
        part.measures.to_hash.merge(measures).compact
      end

      # What no list of parts holds.
      def self.keep_beside(part, beside, by, at)
        before = beside.to_h do |name, _|
          [name, part[name].then do |value|
            value.respond_to?(:to_hash) ? value.to_hash : value
          end]
        end
        changed = beside.reject { |name, value| before[name] == value }
        return if changed.empty?

        part.update(changed.transform_values { |value| value.is_a?(Hash) ? Sequel.pg_jsonb(value) : value })
        History.note("changed by hand", part, by: by, at: at, data: changed.to_h do |name, value|
          [name, [before[name], value]]
        end)
      end
      private_class_method :refuse, :measured, :keep_beside
    end
  end
end
