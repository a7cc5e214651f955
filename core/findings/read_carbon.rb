# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Carbon brushes of a motor: sparking stops; short ones are replaced, cheap against a motor (common practice).
      class ReadCarbon < Reader
        CLAUSES = %i[sparking short long_enough].freeze
        LEAST_SHARE = 1 / 3.0 # of the length when new, where the sheet gives no least length (house rule)

        private

        def sparking
          return unless @observed[:sparks]

          say(:refer, :carbon_sparks, "Sparks at the carbon brushes: #{States::STOP}", confidence: :high, stop: true)
        end

        def short
          return unless left && least && left <= least

          say(:replace, :carbon_short, "#{length(left)} left, #{length(least)} is the least: cheap against a motor. " \
                                       "The motor is opened by a competent person.",
            confidence: :high)
        end

        def long_enough
          return unless left
          unless least
            return say(:leave, :carbon_unknown, "#{length(left)} left; the sheet gives no least length.",
              confidence: :low)
          end

          say(:leave, :carbon_left, "#{length(left)} left, #{length(least)} is the least.", confidence: :high)
        end

        def left
          @observed[:length_mm]
        end

        def least
          fresh = @position.measures["new_length_mm"]
          @position.measures["least_length_mm"] || (fresh && (fresh * LEAST_SHARE))
        end
      end
    end
  end
end
