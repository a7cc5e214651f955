# frozen_string_literal: true

module UprightBench
  module Services
    # Writes what changes of parts, with their suppliers and successors, and notes it for each. Within the caller's
    # transaction.
    class WriteParts
      SLICE = 500
      COLUMNS = (PartChanges::FIELDS - %i[supplier successor] + %i[supplier_id]).freeze

      # @param changes [PartChanges] without problems
      # @param how [String] as in "by a list"
      def initialize(changes, by:, at:, how:)
        @changes = changes.changes
        @by = by
        @at = at
        @how = how
        @suppliers = changes.suppliers.merge(changes.new_suppliers.to_h do |name|
          [name, Models::Supplier.create(name: name).id]
        end)
      end

      def call
        Constraint.told("parts_barcode" => -> { refuse_barcode }) { write_all }
        ids = Models::Part.where(number: @changes.map(&:number)).select_hash(:number, :id)
        succeed(ids)
        note(ids)
      end

      private

      def refuse_barcode
        raise Refused, "A barcode would stand on two parts for a moment. Empty it on the first part, apply, then " \
                       "give it to the other."
      end

      # In the order of the numbers, as every list does: two lists at once do not wait for each other in a ring.
      def write_all
        @changes.sort_by(&:number).each_slice(SLICE) { |slice| write(slice) }
      end

      def write(slice)
        update = COLUMNS.to_h { |column| [column, Sequel[:excluded][column]] }
        rows = slice.map { |change| [change.number, *row(change).values_at(*COLUMNS), @by.id, @at] }
        Models::Part.dataset.insert_conflict(target: :number, update: update)
          .import([:number, *COLUMNS, :created_by, :created_at], rows)
      end

      # All the fields of the part as they shall be.
      def row(change)
        before = change.part ? change.part.values.slice(*COLUMNS) : {}
        after = change.fields.transform_values(&:last)
        after[:supplier_id] = @suppliers[after[:supplier]] if after.key?(:supplier)
        before.merge(after)
      end

      def succeed(ids)
        wanted = @changes.select { |change| change.fields.key?(:successor) }
        known = Models::Part.where(number: wanted.filter_map { |change| change.fields[:successor].last })
          .select_hash(:number, :id)
        wanted.each do |change|
          Models::Part.where(id: ids.fetch(change.number)).update(successor_id: known[change.fields[:successor].last])
        end
      end

      def note(ids)
        rows = @changes.map do |change|
          ["parts", ids.fetch(change.number), "#{change.new? ? 'put on file' : 'changed'} #{@how}", @at, @by.id,
           @by.name, Whence.now, Sequel.pg_jsonb(change.fields)]
        end
        Models::Event.dataset.import(%i[subject subject_id verb at person_id actor address data], rows, slice: SLICE)
      end
    end
  end
end
