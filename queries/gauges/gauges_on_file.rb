# frozen_string_literal: true

module UprightBench
  module Queries
    # The gauges in use, each with what it showed last.
    module GaugesOnFile
      module_function

      # @return [Array<Models::Gauge>]
      def call
        Models::Gauge.in_use.eager(:stream).order(:name).all
      end
    end
  end
end
