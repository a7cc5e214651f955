# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Battery: what is dangerous first; then measured run time over rated run time at the same setting; the
      # charging light; how it looks.
      class ReadBattery < Reader
        CLAUSES = %i[dangerous tired charges_badly holds by_state charges].freeze
        SETTINGS = %i[run_minutes run_minutes_full].freeze

        private

        def dangerous
          return unless @observed[:state] && kind.state(@observed[:state]).stop?

          say_state(@observed[:state])
        end

        def tired
          return unless worst && worst < policy.battery_limit_percent

          say(:replace, :pack_tired, **measured, limit: policy.battery_limit_percent, confidence: :high)
        end

        def charges_badly
          return unless @observed[:charging] == "flashes red"

          say(:clean, :charges_badly, confidence: :low) # it may be the charger
        end

        def holds
          return unless worst

          say(:leave, :pack_holds, **measured, confidence: :high)
        end

        def by_state
          @observed[:state] && say_state(@observed[:state])
        end

        def charges
          @observed[:charging] && say(:leave, :charges, confidence: :low)
        end

        # @return [Float, nil] the smaller share in percent
        def worst
          shares.values.min
        end

        def shares
          @shares ||= SETTINGS.to_h { |name| [name, share(name)] }.compact
        end

        def share(name)
          rated = @position.measures[name.to_s]
          @observed[name] * 100.0 / rated if @observed[name] && rated
        end

        def measured
          setting = shares.min_by(&:last).first
          { share: worst.floor, ran: @observed[setting], rated: @position.measures[setting.to_s], setting: setting }
        end
      end
    end
  end
end
