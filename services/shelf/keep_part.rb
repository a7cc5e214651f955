# frozen_string_literal: true

module UprightBench
  module Services
    # One part, put on file or changed by hand. What holds for a list of parts holds for one.
    class KeepPart
      # @param number [String]
      # @param fields [Hash{Symbol=>Object}] of PartChanges::FIELDS
      # @param measures [Hash{String=>Numeric}] of the part, mm
      # @param part [Models::Part, nil] the one that is changed; nil for a new one
      # @return [Models::Part]
      # @raise [Invalid] when the number is taken, or something stands against it
      def self.call(number, fields, measures:, by:, at:, part: nil)
        Permissions.check!(:parts, by)
        DB.transaction do
          OneAtATime.wait("part", number) # of two who put one number on file, the second hears it
          changes = PartChanges.new([{ line: 1, number: number, **fields }], lock: true)
          refuse(number, changes, part)
          WriteParts.new(changes, by: by, at: at, how: "by hand").call if changes.changes.any?
          Models::Part.first(number: number).tap { |kept| keep_measures(kept, measures) }
        end
      end

      def self.refuse(number, changes, part)
        if part.nil? && Models::Part.where(number: number).any?
          raise Invalid, { number: ["is on file already: change that part"] }
        end

        problems = changes.problems.map { |words| words.delete_prefix("Line 1: ") }
        raise Invalid, { base: problems } if problems.any?
      end

      # Those that are not asked for here stay as they are.
      def self.keep_measures(part, measures)
        kept = part.measures.to_hash.merge(measures).compact
        part.update(measures: Sequel.pg_jsonb(kept)) unless kept == part.measures.to_hash
      end
      private_class_method :refuse, :keep_measures
    end
  end
end
