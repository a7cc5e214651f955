# frozen_string_literal: true

module UprightBench
  module Screens
    module FindFault
      # Helpers of the gauge in hand.
      module GaugeWords
        OFTEN = "300ms" # a standing connection would hold a thread
        SELDOM = "5s"

        # @return [String, nil] nil where the shop has no gauge, and for whoever may only look
        def gauge_now(number, gauge)
          return unless gauge && may?(:work)

          partial :"find_fault/_gauge", number: number, gauge: gauge, every: gauge.silent? ? SELDOM : OFTEN
        end

        # What the page asks three times a second while a gauge is in hand; it says where the gauge is held.
        def gauge_asked(number)
          job = Services::Lookup.job(number)
          gauge = gauge_of(job) or halt(204)
          hold_gauge(gauge.gauge, job)
          gauge_now(number, gauge)
        end

        # @return [Queries::GaugeNow, nil]
        def gauge_of(job)
          Queries::GaugeNow.of(id_typed("gauge"), at: now, since: Queries::LastReadAt.call(job))
        end

        def hold_gauge(gauge, job)
          hole = params["plate_mm"].to_s.tr(",", ".")[/\A\d{1,3}(\.\d{1,2})?\z/]
          Services::HoldGauge.call(gauge, job, point: params["point"].to_s, kind: params["kind"].to_s, at: now,
            plate_mm: hole&.to_f, exhaust_off: params["exhaust_off"] == "1")
        end

        # @return [String]
        def gauge_trace(gauge)
          Drawings::GaugeTrace.new(gauge.shown).render
        end

        # @param gauge [Queries::GaugeNow]
        # @param value [Float] what it shows now, or on what it came to rest
        def shown_on(gauge, value = gauge.last.value)
          Core::Gauges::Quantities.fetch(gauge.last.what).words(value)
        end

        def gauge_state(gauge)
          return "It holds its number: release it." if gauge.last.held

          gauge.steady ? "At rest." : "Still moving."
        end

        # @return [String] as ReadingForm understands it
        def taken_value(gauge)
          [gauge.gauge.id, gauge.steady.round(3), gauge.last.what].join("|")
        end
      end
    end
  end
end
