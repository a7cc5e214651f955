# frozen_string_literal: true

module UprightBench
  module Config
    # Whether the tables are those that this program knows. An older program does not work on the tables of a newer one,
    # nor a newer one on tables that were not brought up to date.
    module SchemaVersion
      # Why it does not go on.
      class Refused < Core::Error; end

      LOCK = 7_610_002 # of those who migrate: the second waits for the first

      module_function

      # @param db [Sequel::Database]
      # @return [Integer] 0 where there are none yet
      def of(db)
        db.table_exists?(:schema_info) ? db[:schema_info].get(:version).to_i : 0
      end

      # @return [Integer] the one that this program's tables have
      def newest
        Dir.children(Database::MIGRATIONS).filter_map { |name| name[/\A\d+/]&.to_i }.max
      end

      # @raise [Refused] for tables of a newer program
      def refuse_newer(db)
        there = of(db)
        return if there <= newest

        raise Refused, "this database is of a newer program (version #{there}; this one knows #{newest}). Start that " \
                       "program again, or restore the backup from before it was brought up to date"
      end

      # @raise [Refused] for tables that are not those of this program
      def check(db)
        refuse_newer(db)
        return if of(db) == newest

        raise Refused, "this database has to be brought up to date first: bin/start does it, or bin/rake " \
                       "db:migrate"
      end

      # @yield alone among all who migrate this database
      def alone(db)
        db.synchronize do
          db.get(Sequel.function(:pg_advisory_lock, LOCK))
          yield
        ensure
          db.get(Sequel.function(:pg_advisory_unlock, LOCK))
        end
      end
    end
  end
end
