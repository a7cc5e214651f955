# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # Takes a list of parts over, as it was looked at: all of it or nothing. Taken over twice is taken over once.
    class ImportParts
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

          changes = PartChanges.new(ReadPartList.rows(import), lock: true, fresh: import.fresh)
          refuse(changes, digest)
          WriteParts.new(changes, by: by, at: at, how: "by a list").call
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
    end
  end
end
