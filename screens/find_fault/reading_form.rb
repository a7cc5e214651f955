# frozen_string_literal: true

module UprightBench
  module Screens
    module FindFault
      # What a gauge showed, as it is typed, or as the gauge in hand said it itself.
      class ReadingForm < Form
        TAKEN = /\A(?<gauge>\d{1,18})\|(?<value>\d{1,3}(?:\.\d{1,3})?)\|(?<what>pressure|flow)\z/

        takes do
          params do
            required(:point).filled(:string, max_size?: 60)
            required(:kind).filled(:string, included_in?: Core::Suction::Reading::KINDS.keys.map(&:to_s))
            required(:value).filled(:string, max_size?: 40)
            optional(:plate_mm).maybe(:float, gteq?: 1, lteq?: 100)
            optional(:exhaust_off).maybe(:string, included_in?: %w[1])
            optional(:gauge_id).maybe(:integer)
          end
        end

        # @param asked [Core::Suction::Locate::Next, nil] the reading that would tell most
        # @return [ReadingForm] with it chosen
        def self.asking(asked)
          return blank("kind" => "sealed") unless asked

          off = asked.exhaust_off ? { "exhaust_off" => "1" } : {}
          blank("point" => asked.point, "kind" => asked.kind.to_s, **off)
        end

        # @param params [Hash{String=>Object}] of the request
        # @return [ReadingForm]
        def self.of(params)
          taken = TAKEN.match(params["taken"].to_s)
          return new(params.except("gauge_id")) unless taken

          kind = taken[:what] == "flow" ? "flow" : pressure_kind(params["kind"])
          new(params.merge("kind" => kind, "value" => "#{taken[:value]} #{Core::Gauges::Quantities.fetch(taken[:what].to_sym).unit}",
            "gauge_id" => taken[:gauge]))
        end

        # A gauge of pressure shows no flow, whatever was chosen.
        def self.pressure_kind(chosen)
          chosen == "flow" ? "sealed" : chosen
        end
        private_class_method :pressure_kind

        # @return [Hash] as Services::TakeReading takes it
        def fields
          { point: values[:point], kind: values[:kind], text: values[:value], plate_mm: values[:plate_mm],
            exhaust_off: values[:exhaust_off] == "1", gauge_id: values[:gauge_id] }
        end
      end
    end
  end
end
