# frozen_string_literal: true

module UprightBench
  module Screens
    module FindFault
      # What a gauge showed, as it is typed.
      class ReadingForm < Form
        takes do
          params do
            required(:point).filled(:string, max_size?: 60)
            required(:kind).filled(:string, included_in?: Core::Suction::Reading::KINDS.keys.map(&:to_s))
            required(:value).filled(:string, max_size?: 40)
            optional(:plate_mm).maybe(:float, gteq?: 1, lteq?: 100)
            optional(:exhaust_off).maybe(:string, included_in?: %w[1])
          end
        end

        # @return [Hash] as Services::TakeReading takes it
        def fields
          { point: values[:point], kind: values[:kind], text: values[:value], plate_mm: values[:plate_mm],
            exhaust_off: values[:exhaust_off] == "1" }
        end
      end
    end
  end
end
