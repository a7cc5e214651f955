# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      # How a task would stand if the machine left with what is planned: whether it would be overdue, or fall due
      # before anybody hears of it again; and what may be said about it before the machine leaves.
      #
      #   Outlook.new(due: due, task: task, today: today, heard_on: today + 81).state  # => :expired
      class Outlook
        include Value

        # @!attribute due [Due] as it would be
        # @!attribute task [Task]
        # @!attribute today [Date]
        # @!attribute heard_on [Date] what falls due by then is known to the customer from nobody but us, now: the quiet
        #   time after a hand-over and the longest lead of a card
        fields :due, :task, :today, :heard_on

        # What may be chosen: it is done now, it was looked at and is still good, or the customer leaves it.
        CHOICES = %i[now good left].freeze

        # @return [Symbol, nil] :unknown, :expired or :soon; nil when nothing need be said. What the customer looks
        #   after at home is no matter of ours, and to look is part of the look-over.
        def state
          return unless due.due_on && ours?
          return due.deciding == :unknown ? :unknown : :expired if due.due_on <= today

          :soon if due.due_on <= heard_on && due.deciding != :unknown
        end

        # @return [Boolean] the date is a limit that comes whatever is seen
        def fixed?
          clock = task.clocks.find { |counted| counted.kind == due.deciding }
          !clock.nil? && !clock.condition?
        end

        # @return [Array<Symbol>] of CHOICES
        def choices
          case state
          when :expired then fixed? ? CHOICES - [:good] : CHOICES
          when :soon then %i[now]
          else []
          end
        end

        private

        def ours?
          task.card && task.action != :inspect
        end
      end
    end
  end
end
