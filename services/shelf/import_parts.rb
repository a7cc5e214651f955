# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # Takes a list of parts over, as it was looked at: all of it or nothing. Taken over twice is taken over once.
    class ImportParts
      SLICE = 500
      COLUMNS = (PartChanges::FIELDS - %i[supplier successor] + %i[supplier_id]).freeze

      # The queue's job, for a list that takes longer than anybody waits.
      class Work < Que::Job
        def run(id, digest, person_id)
          import = Models::PartImport.with_pk!(id)
          ImportParts.call(import, digest: digest, by: Models::Person.with_pk!(person_id), at: Time.now)
        rescue Refused, Forbidden => e
          ReadPartList.call(import.refresh)
          import.update(refused: e.message)
        end
      end

      # Takes it over, or has the worker do it.
      # @return [Models::PartImport]
      # @raise as in call, for a short list
      def self.ask(import, digest:, by:, at:)
        return call(import, digest: digest, by: by, at: at) if import.short?

        Permissions.check!(:price_lists, by)
        DB.transaction do
          import.lock!
          next import unless import.state == "read"

          import.update(state: "taking_over", refused: nil)
          Work.enqueue(import.id, digest, by.id)
        end
        import
      end

      # @param import [Models::PartImport]
      # @param digest [String] of the changes that were looked at
      # @return [Models::PartImport]
      # @raise [Refused] when it would change something else by now, or something stands against it
      def self.call(import, digest:, by:, at:)
        Permissions.check!(:price_lists, by)
        DB.transaction do
          import.lock!
          next import if import.applied_at

          changes = PartChanges.new(ReadPartList.rows(import), lock: true)
          refuse(changes, digest)
          new(changes, by, at).call
          import.update(applied_at: at, state: "taken_over", refused: nil)
          import.drop_pieces
          History.note("took over parts", import, by: by, at: at, data: { changed: changes.changes.size })
          import
        end
      end

      def self.refuse(changes, digest)
        raise Refused, changes.problems.first(5).join(" ") if changes.problems.any?
        return if changes.digest == digest

        raise Refused, "Something changed on the shelf since you looked: look at the changes again."
      end
      private_class_method :refuse

      def initialize(changes, by, at)
        @changes = changes.changes
        @by = by
        @at = at
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
          ["parts", ids.fetch(change.number), change.new? ? "put on file by a list" : "changed by a list", @at, @by.id,
           @by.name, Sequel.pg_jsonb(change.fields)]
        end
        Models::Event.dataset.import(%i[subject subject_id verb at person_id actor data], rows, slice: SLICE)
      end
    end
  end
end
