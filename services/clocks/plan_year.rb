# frozen_string_literal: true

module UprightBench
  module Services
    # A year of visits of a customer with many machines: as few days as the windows allow, what is done on each, and how long the
    # bench is busy with it.
    class PlanYear
      DEFAULT_DAYS = 365 # between two times, where the clock that runs does not say

      # @!attribute rows [Array<Hash>] machine, what (Array<String>): each machine once
      # @!attribute minutes [Float] of bench time
      Visit = Struct.new(:date, :rows, :minutes, keyword_init: true)

      # @param customer [Models::Customer]
      # @return [Array<Visit>]
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
        open_day = ->(day) { schedule.last_open_day(day, from: @today) }
        plan = Core::Cards::YearPlan.new(tasks: tasks, window_days: @policies.number("bundle_days"), today: @today, until_on: @today >> 12, open_day: open_day)
        plan.visits.map { |visit| Visit.new(date: visit.date, rows: rows(visit), minutes: visit.tasks.sum { |task| minutes(task) }) }
      end

      private

      def tasks
        dues.filter_map do |due|
          next unless due.due_on

          interval = due.started_on ? (due.due_on - due.started_on).to_i : DEFAULT_DAYS
          Core::Cards::YearPlan::Task.new(machine: due.machine, what: due, due_on: due.due_on, interval_days: [interval, 1].max)
        end
      end

      # What is looked after at home is not brought.
      def dues
        machines = Models::Machine.where(customer_id: @customer.id, state: %w[in_use stored]).select(:id)
        Models::Due.running.where(machine_id: machines, may_card: true).eager(machine: :sheet).order(:due_on, :id).all
      end

      def rows(visit)
        visit.tasks.group_by(&:machine).map do |machine, tasks|
          { machine: [machine.sheet.title, machine.plate].compact.join(" "), machine_id: machine.id, what: tasks.map do |task|
            "#{task.what.action} #{task.what.position_name.downcase}"
          end }
        end
      end

      def minutes(task)
        core = task.machine.to_core
        core.position?(task.what.position) ? core.position(task.what.position).minutes : 0
      end
    end
  end
end
