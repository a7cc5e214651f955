# frozen_string_literal: true

module UprightBench
  module Core
    module Year
      # The tasks as the search counts with them: in days from today, those of a kind taken together. Two machines of a
      # model whose places fall due on the same days are one to it, of double weight.
      class Rounds
        # `single` says that it falls due once at the most within the plan, and that nothing else does it as well.
        Round = Struct.new(:tasks, :due, :interval, :window, :single, :covers, keyword_init: true) do
          def weight
            tasks.size
          end

          def opens(due)
            due - window
          end
        end

        # @return [Array<Round>]
        attr_reader :all

        # @param tasks [Array<Task>]
        # @param horizon [Horizon]
        # @param window_days [Integer]
        def initialize(tasks, horizon, window_days)
          @horizon = horizon
          @window_days = window_days
          @all = []
          tasks.group_by(&:place).values.group_by { |here| here.map { |task| signature(task) } }.each_value do |alike|
            add(alike)
          end
        end

        private

        def signature(task)
          [task.due_on, task.interval_days, task.action]
        end

        # @param alike [Array<Array<Task>>] the tasks of places whose tasks are alike
        def add(alike)
          first = @all.size
          here = alike.first
          here.each_with_index do |task, index|
            covers = here.each_index.select { |other| Clocks::Task.covers?(task.action, here[other].action) }
            @all << round(alike.map { |tasks| tasks[index] }, here, covers.map { |other| first + other })
          end
        end

        def round(tasks, here, covers)
          task = tasks.first
          due = [@horizon.number(task.due_on), 0].max
          window = task.window_days(@window_days)
          Round.new(tasks: tasks, due: due, interval: task.interval_days, window: window, covers: covers,
            single: here.one? && due - window + task.interval_days > @horizon.last)
        end
      end
    end
  end
end
