# frozen_string_literal: true

module UprightBench
  module Queries
    # The gauges in use, each with what it showed last.
    module GaugesOnFile
      module_function

      # @return [Array<Models::Gauge>] of all kinds
      def call(gauges = Models::Gauge.in_use)
        gauges.eager(:stream).order(:name).all
      end

      # @return [Array<Models::Gauge>] that are held to machines
      def suction
        call(Models::Gauge.in_use.suction)
      end
    end
  end
end
