# frozen_string_literal: true

module UprightBench
  module Core
    module FinalTest
      # Where the final test of a machine stands. An answer counts while nothing was worked at since.
      class State
        RESULTS = %i[pass fail not_possible].freeze

        # An answer: what was tried, how it came out, and when.
        Answer = Struct.new(:key, :result, :at, keyword_init: true)

        # @param trials [Array<Trial>]
        # @param answers [Array<#key, #result, #at>] in the order in which they were given
        # @param changed_at [Time, nil] when something was last done to the machine
        def initialize(trials, answers, changed_at: nil)
          @trials = trials
          counted = changed_at ? answers.select { |answer| answer.at >= changed_at } : answers
          @latest = counted.to_h { |answer| [answer.key, answer] }
        end

        # @return [#result, nil] the last that counts
        def answer(trial)
          @latest[trial.key]
        end

        # @return [Symbol, nil]
        def result(trial)
          answer(trial)&.result&.to_sym
        end

        # @return [Array<Trial>] without an answer
        def open
          @trials.select { |trial| answer(trial).nil? }
        end

        # @return [Array<Trial>] that nobody passes with the rest
        def to_answer
          open.reject { |trial| trial.kind == :usual }
        end

        # @return [Array<Trial>]
        def failed
          @trials.select { |trial| result(trial) == :fail }
        end
      end
    end
  end
end
