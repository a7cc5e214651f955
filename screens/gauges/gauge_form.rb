# frozen_string_literal: true

module UprightBench
  module Screens
    module Gauges
      # A gauge: its name, how it writes, and its error.
      class GaugeForm < Form
        takes do
          params do
            optional(:id).maybe(:string, max_size?: 18)
            optional(:kind).filled(:string, included_in?: Core::Gauges::Kinds::WORDS.keys)
            required(:name).filled(:string, max_size?: 60)
            required(:pattern).filled(:string, max_size?: 80)
            optional(:unit).maybe(:string, max_size?: 10)
            required(:error_percent).filled(:float, gteq?: 0.5, lteq?: 20)
          end
        end

        # @return [Hash] as Services::KeepGauge takes it
        def fields
          values.slice(:kind, :name, :pattern, :error_percent).merge(unit: values[:unit])
        end
      end
    end
  end
end
