# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Brush: bristles must stand proud of the guide bars; flush with them is worn out (common practice).
      # The height dial is highest for new bristles and stepped down in equal parts of the remaining wear.
      class ReadBrush < Reader
        ASKS_FOR = %i[fitted_on].freeze
        CLAUSES = %i[gaps flush flush_before_next_service proud].freeze

        # @return [Integer, nil] the dial setting that the stand-out implies; nil when there is no dial
        def self.dial(standout_mm:, new_standout_mm:, settings:)
          return if settings.nil? || new_standout_mm.nil?

          (settings * standout_mm / new_standout_mm.to_f).ceil.clamp(1, settings)
        end

        private

        def standout
          @observed[:standout_mm]
        end

        def gaps
          return unless @observed[:gaps]

          say(:replace, :gaps, confidence: :high)
        end

        def flush
          return unless standout && standout <= 0

          say(:replace, :flush, confidence: :high)
        end

        # Wear is taken as even since the brush was fitted new.
        def flush_before_next_service
          return unless standout && days_left && days_left < policy.service_interval_days

          say(:replace, :flush_before_next_service, left_mm: standout, flush_on: flush_on)
        end

        def proud
          return unless standout

          setting = self.class.dial(standout_mm: standout, new_standout_mm: new_standout,
            settings: @position.measures["dial_settings"])
          say(:leave, :proud, proud_mm: standout, dial: setting, confidence: :high)
        end

        def new_standout
          @position.measures["new_standout_mm"]
        end

        def days_left
          age = @background.age_days
          return unless age&.positive? && new_standout && standout < new_standout

          (standout * age / (new_standout - standout).to_f).floor
        end

        def flush_on
          @background.today + days_left
        end
      end
    end
  end
end
