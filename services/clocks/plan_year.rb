# frozen_string_literal: true

module UprightBench
  module Services
    # A year of service days of a customer with many machines: as few days as the windows allow, what is done on each,
    # how long the bench is busy with it, and which parts it takes.
    class PlanYear
      DEFAULT_DAYS = 365 # between two times, where the clock that runs does not say

      # @!attribute rows [Array<Hash>] machine, what (Array<String>): each machine once
      # @!attribute minutes [Float] of bench time, with a look-over of each machine
      # @!attribute parts [Hash{Models::Part=>Integer}] pieces to have there, by name
      # @!attribute unknown [Integer] replacements of which nobody knows the part
      ServiceDay = Struct.new(:date, :rows, :minutes, :parts, :unknown, keyword_init: true) do
        # @return [Hash{Models::Part=>Integer}] pieces that the shelf lacks
        def missing
          parts.to_h { |part, pieces| [part, pieces - part.stock] }.select { |_, pieces| pieces.positive? }
        end
      end
      # @!attribute days [Array<ServiceDay>] in order
      # @!attribute least [Integer] days that there must be, as far as that is known
      Answer = Struct.new(:days, :least, keyword_init: true) do
        def fewest?
          days.size <= least
        end
      end
      FOUND = FoundDays.new
      private_constant :FOUND
      LOOK_OVER_MINUTES = Core::Bench::WaitsFor::LOOK_OVER_MINUTES

      # @param customer [Models::Customer]
      # @return [Answer]
      def self.call(customer, today:, policies: Policies.now)
        new(customer, today, policies).call
      end

      def initialize(customer, today, policies)
        @customer = customer
        @today = today
        @policies = policies
      end

      def call
        schedule = @policies.schedule
        found = FOUND.of(tasks, window_days: @policies["bundle_days"], today: @today, until_on: @today >> 12,
          open_day: ->(day) { schedule.last_open_day(day, from: @today) })
        Answer.new(days: found.days.map { |day| service_day(day.date, tasks.values_at(*day.indexes)) },
          least: found.least)
      end

      private

      def service_day(date, planned)
        rows = rows(planned)
        ServiceDay.new(date: date, rows: rows, **parts(planned),
          minutes: planned.sum { |task| minutes(task) } + (rows.size * LOOK_OVER_MINUTES))
      end

      def tasks
        @tasks ||= dues.filter_map do |due|
          next unless due.due_on

          interval = due.started_on ? (due.due_on - due.started_on).to_i : DEFAULT_DAYS
          Core::Year::Task.new(machine: due.machine, what: due, due_on: due.due_on,
            interval_days: [interval, 1].max,
            place: [due.machine_id, due.position], action: due.action.to_sym)
        end
      end

      # What is looked after at home is not brought.
      def dues
        machines = Models::Machine.where(customer_id: @customer.id, state: %w[in_use stored]).select(:id)
        @dues ||= Models::Due.running.where(machine_id: machines, may_card: true).eager(machine: :sheet)
          .order(:due_on, :id).all
      end

      def rows(planned)
        planned.group_by(&:machine).map do |machine, tasks|
          { machine: [machine.sheet.title, machine.serial_number].compact.join(" "), machine_id: machine.id,
            what: tasks.map do |task|
              "#{task.what.action} #{task.what.position_name.downcase}"
            end }
        end
      end

      def parts(planned)
        known, unknown = planned.map(&:what).select { |due| due.action == "replace" }
          .partition { |due| part_of.key?(due.id) }
        { parts: known.map { |due| part_of[due.id] }.tally.sort_by { |part, _| [part.name, part.number] }.to_h,
          unknown: unknown.size }
      end

      # @return [Hash{Integer=>Models::Part}] by due: what its replacement takes
      def part_of
        @part_of ||= begin
          taken = WhichPart.new(replacements).to_h { |part_id, row| [row[:due_id], part_id] }
          parts = Models::Part.with_shelf_of(taken.values.uniq)
          taken.transform_values { |id| parts.fetch(id) }
        end
      end

      # @return [Array<Hash>] as WhichPart asks for them
      def replacements
        replaced = dues.select { |due| due.action == "replace" }
        fitted = Models::Fitting.in_place.where(machine_id: replaced.map(&:machine_id).uniq)
          .select_hash(%i[machine_id position], :part_id)
        replaced.map do |due|
          { due_id: due.id, sheet_id: due.machine.sheet_id, position: due.position,
            part_id: fitted[[due.machine_id, due.position]] }
        end
      end

      # To look at it is part of the look-over.
      def minutes(task)
        core = task.machine.to_core
        return 0 if task.action == :inspect || !core.position?(task.what.position)

        Core::Work::Plan.minutes(core.position(task.what.position), task.action)
      end
    end
  end
end
