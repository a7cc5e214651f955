# frozen_string_literal: true

require "date"

module UprightBench
  module Core
    module Clocks
      # When is a task due? The earliest of its clocks, in whole days rounded down, with an early and a
      # late bound from the 80 % interval of the use rate.
      #
      #   DueDate.new(task:, progress:, conditions:).call  # => Due
      #
      # Months are calendar months and clamp at a month's end (31 Jan + 1 month is the last of February). The bounds
      # are for the day on which the hours will have been used up, not for the rate alone (Use::Wait). A
      # task whose start is unknown is due for inspection today, not in a year. Where a look-over found how far gone the
      # place is, a clock that goes by condition runs from there (FromLoad).
      class DueDate
        # @param task [Task]
        # @param progress [Progress]
        # @param conditions [Conditions]
        # @param own [Use::Personal] what was found at this place before
        def initialize(task:, progress:, conditions:, own: Use::Personal.new)
          @task = task
          @progress = progress
          @conditions = conditions
          @own = own
        end

        # @return [Due]
        def call
          return unknown_history if @progress.started_on.nil? && @progress.load.nil?

          dated = @task.clocks.filter_map { |clock| dated(clock) }
          return @progress.started_on.nil? ? look_again : never if dated.empty?

          answer(dated.size > 1 ? dated.sort_by(&:due) : dated)
        end

        private

        UNKNOWN = Reasons::Plain.new(Reason.of(:history_unknown)).freeze
        NEVER = Reasons::Plain.new(Reason.of(:nothing_runs)).freeze
        private_constant :UNKNOWN, :NEVER

        # When one clock runs out, what its interval was multiplied by (Conditions::Shortening) and divided by, and
        # whether it runs from what was found.
        Dated = Struct.new(:clock, :household, :personal, :due, :early, :late, :found)
        private_constant :Dated

        def answer(dated)
          first = dated.first
          Due.new(due_on: first.due, early_on: dated.map(&:early).min, late_on: dated.filter_map(&:late).min,
            deciding: first.clock.kind,
            personal: first.personal, why: Reasons.new(dated: dated, progress: @progress, conditions: @conditions,
              own: @own))
        end

        # @return [Dated, nil] nil when this clock never runs out, or nobody knows since when it runs
        def dated(clock)
          household = clock.shortening(@task, @conditions)
          personal = clock.follows_findings?(@task) ? @own.factor : 1.0
          found = found?(clock)
          due, early, late = runs_out(clock, household.factor / personal, found)
          Dated.new(clock, household, personal, due, early, late, found) if due
        end

        def runs_out(clock, factor, found)
          found ? FromLoad.new(@progress, @conditions.use).runs_out(clock, factor) : from_start(clock, factor)
        end

        def from_start(clock, factor)
          return if @progress.started_on.nil?

          @run ||= Run.new(@progress, @conditions.use)
          clock.runs_out(@run, factor)
        end

        def found?(clock)
          !@progress.load.nil? && clock.condition?
        end

        # A limit that comes whatever is seen, of a part of which nobody knows how long it has been in: it is looked at
        # again, and asked about.
        def look_again
          due = @progress.load_on + @conditions.look_again_days
          Due.new(due_on: due, early_on: due, late_on: due, deciding: :unknown,
            why: Reasons::Plain.new(Reason.of(:start_unknown, found_on: @progress.load_on)))
        end

        def unknown_history
          today = @conditions.today
          Due.new(due_on: today, early_on: today, late_on: today, deciding: :unknown, why: UNKNOWN)
        end

        def never
          Due.new(due_on: nil, early_on: nil, late_on: nil, deciding: :none, why: NEVER)
        end
      end
    end
  end
end
