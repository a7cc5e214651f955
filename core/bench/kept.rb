# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # The order of a plan, as it is kept until the next one is made: which operation of which job comes after which,
      # and whom it was given to.
      class Kept
        include Value

        # @!attribute rows [Array<Array(Integer, Symbol, Integer)>] number of a job, key of an operation, id of a
        #   technician, in the order in which they are placed
        # @!attribute holds [Hash] as Problem takes them
        fields rows: [], holds: {}

        # @param schedule [Schedule]
        # @param order [Array<Integer>] its steps
        # @return [Kept]
        def self.of(schedule, order: schedule.order)
          problem = schedule.problem
          new(rows: order.map do |index|
            step = problem.steps[index]
            [problem.chains[step.job].number, step.operation.key, schedule.technician(index).id]
          end, holds: problem.holds)
        end

        # The same order for what is to be done now. What is done is left out; what was not planned yet stands where its
        # latest start comes, before what is less urgent.
        # @param problem [Problem]
        # @param limits [Hash{Integer=>Integer}] job's index => until when it must be ready, in minutes worked
        # @return [Array<Integer>] steps of the problem
        def order(problem, limits = {})
          places = rows.each_with_index.to_h { |(number, key, _), place| [[number, key], place] }
          known, added = problem.steps.partition { |step| places.key?(name(problem, step)) }
          known.sort_by! { |step| places.fetch(name(problem, step)) }
          in_turn(problem, with_added(known, added, Urgency.new(problem, limits)))
        end

        # @return [Array<Integer, nil>] by step, the index of the technician it was given to
        def given(problem)
          ids = problem.shop.technicians.each_with_index.to_h { |technician, index| [technician.id, index] }
          people = rows.to_h { |number, key, id| [[number, key], ids[id]] }
          problem.steps.map { |step| people[name(problem, step)] }
        end

        private

        def with_added(known, added, urgency)
          added.sort_by { |step| urgency.rank(step) }.inject(known) do |order, step|
            order.insert(order.index { |other| urgency.later?(other, step) } || order.size, step)
          end
        end

        def name(problem, step)
          [problem.chains[step.job].number, step.operation.key]
        end

        # What is pinned first, and nothing before what it follows in its job.
        def in_turn(problem, steps)
          done = {}
          steps.partition(&:fixed).flatten(1)
            .flat_map { |step| with_those_before(problem, step, done) }
        end

        def with_those_before(problem, step, done)
          return [] if done[step.index]

          done[step.index] = true
          [*(step.before ? with_those_before(problem, problem.steps[step.before], done) : []), step.index]
        end
      end
    end
  end
end
