# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Which other jobs keep one from being ready sooner: those whose work is done right before its own, by the same
      # person, with no time between, and in turn what is done right before them.
      module HeldUp
        MOST = 4

        module_function

        # @param schedule [Schedule]
        # @param job [Integer] index
        # @return [Array<Integer>] numbers of jobs, the nearest first
        def by(schedule, job)
          problem = schedule.problem
          step = problem.steps_of[job].last
          numbers = []
          while step
            number = problem.chains[step.job].number
            numbers << number if step.job != job
            break if numbers.uniq.size == MOST

            step = cause(schedule, step)
          end
          numbers.uniq
        end

        # What ends right where a step begins: the one before it in its job where that is so, else what the same person
        # did.
        def cause(schedule, step)
          steps = schedule.problem.steps
          begins = schedule.starts[step.index]
          return steps[step.before] if step.before && schedule.ends[step.before] + step.dry >= begins

          steps.find { |other| same_hands?(schedule, step, other) && touches?(schedule, other, begins) }
        end

        def same_hands?(schedule, *steps)
          steps.map { |step| schedule.people[step.index] }.uniq.one?
        end

        # Also over the hours in which nobody works.
        def touches?(schedule, other, begins)
          ends = schedule.ends[other.index]
          return false if ends > begins

          calendar = schedule.problem.shop.technicians[schedule.people[other.index]].calendar
          calendar.open_from(ends) == begins
        end
        private_class_method :cause, :same_hands?, :touches?
      end
    end
  end
end
