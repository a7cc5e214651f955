# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Stretches of time, each from and till in minutes since the beginning of the plan, as a calendar takes them.
      module Stretches
        module_function

        # What is over is left out, what goes on began now; stretches that touch are one.
        # @param stretches [Array<Array(Integer, Integer)>] in order
        # @return [Array<Array(Integer, Integer)>]
        def joined(stretches)
          stretches.select { |_, till| till.positive? }.each_with_object([]) do |(from, till), all|
            all.any? && all.last.last >= from ? all.last[1] = till : all << [[from, 0].max, till]
          end
        end

        # @param stretches [Array<Array(Integer, Integer)>] when somebody would work
        # @param away [Array<Array(Integer, Integer)>] when they are not there, in any order
        # @return [Array<Array(Integer, Integer)>] what is left
        def without(stretches, away)
          away.inject(stretches) do |left, (gone, back)|
            left.flat_map do |from, till|
              [[from, [till, gone].min], [[from, back].max, till]].select { |begins, ends| begins < ends }.uniq
            end
          end
        end
      end
    end
  end
end
