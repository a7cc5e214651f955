# frozen_string_literal: true

module UprightBench
  module Demo
    class TenYears
      # Each table's columns and its rows as lines of COPY's text format.
      class Tables
        include CardTables

        NULL = '\N'
        CARD_DAYS = 200
        JOB = "id number machine_id customer_id sheet_version_id state complaint made_safe_at made_safe_by " \
              "request_key taken_in_by taken_in_at " \
              "closed_up_at handed_over_at"
        DUE = "id machine_id position position_name task action started_on due_on early_on late_on deciding reasons " \
              "may_card computed_on"

        REASONS = '[{"key": "written", "text": "by the calendar since the last job"}]'

        # @param plan [Plan]
        def initialize(plan)
          @plan = plan
          @cores = plan.sheets.to_h { |sheet| [sheet.id, sheet.to_core] }
          @tasks = @cores.transform_values do |core|
            core.positions.flat_map { |place| [place].product(place.tasks) }
          end
          @seen = @cores.transform_values { |core| Seen.new(core, plan.today).lines }
        end

        # @return [Array<Hash>] table, columns and rows (an Enumerator of lines), each after what it points at
        def all
          [customers, machines, jobs, findings, events, fittings, dues, use_readings, *carded]
        end

        # The cards alone, for a shop that has the rest.
        def carded
          [batches, cards, card_lines, messages]
        end

        private

        def table(name, columns, rows)
          { name: name, columns: columns.split.map(&:to_sym), rows: rows }
        end

        def lines(count)
          Enumerator.new { |out| count.times { |row| out << yield(row) } }
        end

        def line(*values)
          "#{values.map { |value| value.nil? ? NULL : value }.join("\t")}\n"
        end

        def customers
          table(:customers, "id name phone email street town region postcode email_agreed post_agreed created_by",
            lines(@plan.customers) do |row|
              line(@plan.id(:customers, row), Crowd.name(row), Crowd.phone(row),
                (row % 5 == 4 ? nil : "c#{row}@example.org"),
                "#{Crowd::STREETS[row % 8]} #{(row % 90) + 1}", *Names::PLACE.values,
                row % 3 != 1, row % 4 != 1, counter)
            end)
        end

        def machines
          table(:machines, "id customer_id sheet_id serial_number bought_on hours_per_week traits created_by",
            lines(@plan.machines) do |row|
              line(@plan.machine_id(row), @plan.id(:customers, @plan.customer_of(row)), @plan.sheet_of(row).id,
                format("T%<row>06d", row: row),
                @plan.today - 400 - (row % 3000), 1 + (row % 4), row.even? ? "{pets}" : "{}", counter)
            end)
        end

        def counter
          @plan.staff.last.first
        end

        def jobs
          table(:jobs, JOB, lines(@plan.jobs) do |row|
            job(row, @plan.machine_of(row), @plan.day_of(row), @plan.staff[row % @plan.staff.size].first)
          end)
        end

        def job(row, machine, day, by)
          line(@plan.id(:jobs, row), @plan.number(row), @plan.machine_id(machine),
            @plan.id(:customers, @plan.customer_of(machine)),
            @plan.sheet_of(machine).current_version_id, "handed_over", "weak everywhere", "#{day} 09:00Z", by,
            format("00000000-0000-4000-8000-%<row>012x", row: row), by, "#{day} 09:00Z", "#{day + 2} 15:00Z",
            "#{day + 3} 10:00Z")
        end

        # @return [Array<Seen::Line>] of FINDINGS_A_JOB places of the job's machine
        def seen_in(job)
          places = @seen.fetch(@plan.sheet_of(@plan.machine_of(job)).id)
          Array.new(FINDINGS_A_JOB) do |index|
            places[(index + job) % places.size].then { |variants| variants[(job / 7) % variants.size] }
          end
        end

        def findings
          columns = "id job_id found_by found_at wear_found wear_expected position observed verdict reason clause " \
                    "figures confidence"
          table(:findings, columns, lines(@plan.jobs) { |job| findings_of(job) })
        end

        def findings_of(job)
          first = @plan.id(:findings, job * FINDINGS_A_JOB)
          finder = @plan.staff[job % @plan.staff.size].first
          shared = "#{@plan.id(:jobs, job)}\t#{finder}\t#{@plan.day_of(job)} 09:30Z\t#{(job % 12) / 10.0}\t1.0"
          seen_in(job).each_with_index.map { |seen, index| "#{first + index}\t#{shared}\t#{seen.finding}\n" }.join
        end

        # What was taken in and what was found; the other steps of a job are left out.
        def events
          table(:events, "at person_id actor verb subject subject_id job_id data",
            lines(@plan.jobs) { |job| events_of(job, @plan.staff[job % @plan.staff.size].join("\t")) })
        end

        def events_of(job, by)
          id = @plan.id(:jobs, job)
          day = @plan.day_of(job)
          first = @plan.id(:findings, job * FINDINGS_A_JOB)
          found = seen_in(job).each_with_index.map do |seen, index|
            "#{day} 09:30Z\t#{by}\tfound\tfindings\t#{first + index}\t#{id}\t#{seen.event}\n"
          end
          "#{day} 09:00Z\t#{by}\ttook in\tjobs\t#{id}\t#{id}\t{}\n#{found.join}"
        end

        def fittings
          table(:fittings, "machine_id position fitted_on wash_count created_by", lines(@plan.machines) do |row|
            fitted = @plan.last_day(row) - (row % 700)
            core_of(row).positions.map { |place| line(@plan.machine_id(row), place.key, fitted, row % 3, counter) }.join
          end)
        end

        def dues
          table(:dues, DUE, lines(@plan.machines) do |row|
            @tasks.fetch(@plan.sheet_of(row).id).each_with_index.map do |(place, task), at|
              due(row, at, place, task, @plan.last_day(row))
            end.join
          end)
        end

        def due_id(row, at)
          @first_due ||= Array.new(@plan.machines).tap do |firsts|
            firsts.each_index.inject(@plan.id(:dues, 0)) do |id, machine|
              (firsts[machine] = id) + @tasks.fetch(@plan.sheet_of(machine).id).size
            end
          end
          @first_due.fetch(row) + at
        end

        def days_to(at)
          CARD_DAYS + (at * 30)
        end

        def core_of(machine)
          @cores.fetch(@plan.sheet_of(machine).id)
        end

        def due(row, at, place, task, started)
          due = started + days_to(at)
          line(due_id(row, at), @plan.machine_id(row), place.key, place.name, task.key, task.action, started, due,
            due - 20, due + 40, "months",
            REASONS, task.card, started)
        end

        def use_readings
          table(:use_readings, "machine_id job_id position kind hours weeks read_on read_by", lines(@plan.jobs) do |row|
            line(@plan.machine_id(@plan.machine_of(row)), @plan.id(:jobs, row), "bag", "strip", 20 + (row % 60), 40,
              @plan.day_of(row), @plan.staff.first.first)
          end)
        end
      end
    end
  end
end
