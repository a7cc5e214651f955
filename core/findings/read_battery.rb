# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Battery: what is dangerous first; then measured run time over rated run time at the same setting; the
      # charging light; how it looks.
      class ReadBattery < Reader
        CLAUSES = %i[dangerous tired charges_badly holds by_state charges].freeze
        SETTINGS = { run_minutes: "at the normal setting", run_minutes_full: "at full power" }.freeze

        private

        def dangerous
          return unless @observed[:state] && States.of(:battery, @observed[:state]).last

          say_state(@observed[:state])
        end

        def tired
          return unless worst && worst < policy.battery_limit_percent

          say(:replace, :pack_tired, "Runs #{worst.floor} % of its time when new (#{measured}); below " \
                                     "#{policy.battery_limit_percent} % a new pack is offered. " \
                                     "Clean contacts and filter come first: both mimic a weak pack.", confidence: :high)
        end

        def charges_badly
          return unless @observed[:charging] == "flashes red"

          say(:refer, :charges_badly, "Flashes red while charging: check that it is the charger made for it, then " \
                                      "suspect the pack.")
        end

        def holds
          return unless worst

          say(:leave, :pack_holds, "Runs #{worst.floor} % of its time when new (#{measured}).", confidence: :high)
        end

        def by_state
          @observed[:state] && say_state(@observed[:state])
        end

        def charges
          @observed[:charging] && say(:leave, :charges, "The charging light is steady.", confidence: :low)
        end

        # @return [Float, nil] the smaller share in percent
        def worst
          shares.values.min
        end

        def shares
          @shares ||= SETTINGS.keys.to_h { |name| [name, share(name)] }.compact
        end

        def share(name)
          rated = @position.measures[name.to_s]
          @observed[name] * 100.0 / rated if @observed[name] && rated
        end

        def measured
          name = shares.min_by(&:last).first
          "#{format('%g', @observed[name])} of #{format('%g', @position.measures[name.to_s])} min " \
            "#{SETTINGS.fetch(name)}"
        end
      end
    end
  end
end
