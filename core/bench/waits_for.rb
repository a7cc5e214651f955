# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What a job waits for.
      module WaitsFor
        LOOK_OVER_MINUTES = 20 # for a machine that nobody has looked over yet (house rule)

        # In the order in which the bench shows them.
        ALL = %i[hands drying customer stop collection].freeze

        # @param dry [Boolean] whether something of it can come off the rack
        # @param wet [Boolean] whether something of it is still drying
        # @param asked [Boolean] whether the customer waits for an answer
        # @return [Symbol] one of ALL
        def self.of(state:, work_minutes:, stopped:, dry:, wet:, asked: false)
          return :stop if stopped
          return :hands if asked
          return :collection if Jobs::States.in?(:to_collect, state)
          return :customer if Jobs::States.in?(:estimated, state)

          wet && !dry && work_minutes.zero? ? :drying : :hands
        end
      end
    end
  end
end
