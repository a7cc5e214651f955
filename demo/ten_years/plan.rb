# frozen_string_literal: true

module UprightBench
  module Demo
    class TenYears
      # Which rows there are and what belongs to what, all from their numbers (counted from 0). Ids go on after those
      # that the database gave already.
      class Plan
        DAYS = 3650
        STRIDE = 1_000_003 # a prime: steps of it pass every machine before they come back to the first

        # @!attribute staff
        #   @return [Array<Array(Integer, String)>] ids and names, the counter last
        attr_reader :customers, :machines, :jobs_a_machine, :today, :sheets, :staff

        def initialize(customers:, machines:, jobs_a_machine:, today:)
          @customers = customers
          @machines = machines
          @jobs_a_machine = jobs_a_machine
          @today = today
          @first = %i[customers machines jobs findings dues cards
                      batches].to_h { |table| [table, (DB[table].max(:id) || 0) + 1] }
          @first_number = (DB[:jobs].max(:number) || 0) + 1
          @sheets = Models::Sheet.order(:id).all
          @staff = Models::Person.where(role: %w[technician counter]).order(:id).select_map(%i[id name])
        end

        def jobs
          @machines * @jobs_a_machine
        end

        # @return [Integer] the id of a row of a table
        def id(table, row)
          @first.fetch(table) + row
        end

        def machine_id(row)
          id(:machines, row)
        end

        def number(job)
          @first_number + job
        end

        # Every customer has one machine, every second a second one.
        def customer_of(machine)
          machine < @customers ? machine : (machine * 7919) % @customers
        end

        def sheet_of(machine)
          @sheets[(machine / 3) % @sheets.size]
        end

        # Machines come in by turns, in another order each time round.
        def machine_of(job)
          ((job * STRIDE) + ((job / @machines) * 37)) % @machines
        end

        # @return [Date]
        def day_of(job)
          @today - DAYS + (job * (DAYS - 20) / jobs)
        end

        # @return [Date] of the machine's last job
        def last_day(machine)
          @last_days ||= Array.new(@machines).tap do |days|
            ((jobs - @machines)...jobs).each { |job| days[machine_of(job)] = day_of(job) }
          end
          @last_days.fetch(machine)
        end
      end
    end
  end
end
