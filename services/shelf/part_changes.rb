# frozen_string_literal: true

require "digest"

module UprightBench
  module Services
    # What a list of parts would change: which are new, which fields differ, and what stands against it, line by line.
    # Nothing is written here.
    class PartChanges
      FIELDS = %i[name kind maker price_cents cost_cents supplier lead_days pack_pieces life_months filter_class pattern
                  discontinued successor barcode].freeze
      # What a new part is, where no column says it
      FRESH = { pack_pieces: 1, pattern: false, discontinued: false }.freeze
      NEEDED = %i[name kind price_cents].freeze

      # `fields` are field => [before, after]; before is nil for a part that is new.
      Change = Struct.new(:line, :number, :part, :fields, keyword_init: true) do
        def new?
          part.nil?
        end
      end

      # @param rows [Array<Hash>] as Formats::PartList reads them
      # @param lock [Boolean] whether the parts are kept as they are until the transaction ends
      # @param fresh [Hash{Symbol=>Object}] what a new part is, where no column says it
      def initialize(rows, lock: false, fresh: {})
        @rows = rows
        @fresh = FRESH.merge(fresh)
        @problems = []
        read_parts(lock)
        read_suppliers
        read_successors
        @changes = rows.filter_map { |row| change(row) }
        check
      end

      # @return [Array<Change>] in the order of the lines; those that change nothing are left out
      attr_reader :changes

      # @return [Array<String>] what stands against it, each naming its line
      attr_reader :problems

      # @return [Hash{String=>Integer}] of those on file
      attr_reader :suppliers

      # @return [Integer] lines that change nothing
      def same
        @rows.size - @changes.size
      end

      # @return [Array<String>] names of suppliers that are not on file yet
      def new_suppliers
        @changes.filter_map { |change| change.fields[:supplier]&.last }.uniq - @suppliers.keys
      end

      # @return [String] the same as long as the same would change
      def digest
        Digest::SHA256.hexdigest(@changes.map { |change| [change.number, change.new?, change.fields.sort] }.inspect)
      end

      private

      def read_parts(lock)
        numbers = @rows.map { |row| row[:number] }
        parts = Models::Part.where(number: numbers).order(:id)
        @parts = (lock ? parts.for_update : parts).all.to_h { |part| [part.number, part] }
      end

      def read_suppliers
        @suppliers = Models::Supplier.select_hash(:name, :id)
        @supplier_names = @suppliers.invert
      end

      def read_successors
        @named = Models::Part.where(number: @rows.filter_map { |row| row[:successor] })
          .or(id: @parts.values.filter_map(&:successor_id)).select_hash(:number, :id)
        @numbers_named = @named.invert
      end

      def change(row)
        part = @parts[row[:number]]
        before = part ? fields_of(part) : {}
        after = part ? row : @fresh.merge(row)
        fields = FIELDS.filter_map do |field|
          [field, [before[field], after[field]]] if after.key?(field) && before[field] != after[field]
        end.to_h
        Change.new(line: row[:line], number: row[:number], part: part, fields: fields) if part.nil? || fields.any?
      end

      def fields_of(part)
        part.values.slice(*FIELDS).merge(supplier: @supplier_names[part.supplier_id],
          successor: @numbers_named[part.successor_id])
      end

      def check
        @changes.each do |change|
          lacking(change)
          successor(change)
        end
        barcodes
        rings
      end

      def lacking(change)
        missing = change.new? ? NEEDED.reject { |field| change.fields.dig(field, 1) } : []
        return unless missing.any?

        say(change, "#{change.number} is not on file, and a new part needs #{missing.join(' and ').sub('_cents', '')}")
      end

      def successor(change)
        wanted = change.fields.dig(:successor, 1)
        return if wanted.nil?

        say(change, "a part does not take its own place") if wanted == change.number
        return if @named.key?(wanted) || numbers.include?(wanted)

        say(change, "successor #{wanted} is neither on file nor in the list")
      end

      def numbers
        @numbers ||= @rows.to_set { |row| row[:number] }
      end

      def barcodes
        wanted = @changes.filter_map do |change|
          [change.fields.dig(:barcode, 1), change] if change.fields.dig(:barcode, 1)
        end.to_h
        Models::Part.where(barcode: wanted.keys).select_map(%i[barcode number]).each do |barcode, number|
          unless number == wanted.fetch(barcode).number
            say(wanted.fetch(barcode), "barcode #{barcode} belongs to #{number}")
          end
        end
      end

      # A chain of successors that comes back to where it began.
      def rings
        changed = @changes.select { |change| change.fields.key?(:successor) }
        return if changed.empty?

        successors = successors_now.merge(changed.to_h { |change| [change.number, change.fields[:successor].last] })
        changed.each do |change|
          say(change, "its successors come back to #{change.number}") if ring?(change.number, successors)
        end
      end

      # @return [Hash{String=>String}] number of a part => that of its successor
      def successors_now
        Models::Part.join(Sequel.as(:parts, :next), id: Sequel[:parts][:successor_id])
          .select_hash(Sequel[:parts][:number], Sequel[:next][:number])
      end

      def ring?(number, next_one)
        seen = [number]
        seen << next_one[seen.last] while next_one[seen.last] && !seen.include?(next_one[seen.last])
        seen.size > 1 && next_one[seen.last] == number
      end

      def say(change, words)
        @problems << "Line #{change.line}: #{words}."
      end
    end
  end
end
