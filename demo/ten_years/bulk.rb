# frozen_string_literal: true

module UprightBench
  module Demo
    class TenYears
      # Pours tables in by COPY. What would be checked and sorted row by row, foreign keys and plain indexes, is taken
      # off before and made again afterwards, when the whole is checked at once: minutes instead of an hour.
      class Bulk
        CHUNK = 500 # rows

        # @param tables [Array<Hash>] as Tables#all
        def initialize(tables, say:)
          @tables = tables
          @say = say
        end

        # As the owner of the tables: the application may not take their constraints off.
        def call
          Config::Database.as_owner(DB) do |owner|
            @db = owner
            @db.transaction { whole }
            @tables.each { |table| go_on(table[:name]) }
            @db.get(Sequel.function(:setval, "job_numbers", @db[:jobs].max(:number)))
          end
        end

        private

        def whole
          @db.run("SET LOCAL maintenance_work_mem = '512MB'")
          @db.run("SET LOCAL synchronous_commit = off")
          made_again = take_off
          @tables.each { |table| pour(**table) }
          @say.call "Ten years: checking what points at what, and sorting …"
          made_again.each { |statement| @db.run(statement) }
        end

        def pour(name:, columns:, rows:)
          started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          @db.copy_into(name, columns: columns, data: rows.each_slice(CHUNK).lazy.map(&:join))
          @say.call format("Ten years: %<name>s, %<count>d rows, %<took>.0f s", name: name, count: @db[name].count,
            took: Process.clock_gettime(Process::CLOCK_MONOTONIC) - started)
        end

        # @return [Array<String>] what makes it all again, in order
        def take_off
          found = constraints + indexes
          found.each { |row| @db.run(row[:off]) }
          found.map { |row| row[:on] }
        end

        def constraints
          @db.fetch(<<~SQL, names).all
            SELECT format('ALTER TABLE %s DROP CONSTRAINT %I', conrelid::regclass, conname) AS off,
                   format('ALTER TABLE %s ADD CONSTRAINT %I %s', conrelid::regclass, conname, pg_get_constraintdef(oid)) AS on
            FROM pg_constraint WHERE contype = 'f' AND conrelid::regclass::text IN ?
          SQL
        end

        def indexes
          @db.fetch(<<~SQL, names).all
            SELECT format('DROP INDEX %I', indexrelid::regclass) AS off, pg_get_indexdef(indexrelid) AS on
            FROM pg_index WHERE indrelid::regclass::text IN ? AND NOT indisprimary
            AND NOT EXISTS (SELECT 1 FROM pg_constraint WHERE conindid = indexrelid)
          SQL
        end

        def names
          @tables.map { |table| table[:name].to_s }
        end

        # The database gives out ids after those that were poured in.
        def go_on(name)
          return unless @db[name].columns.include?(:id)

          sequence = @db.get(Sequel.function(:pg_get_serial_sequence, name.to_s, "id"))
          @db.get(Sequel.function(:setval, sequence, @db[name].max(:id)))
        end
      end
    end
  end
end
