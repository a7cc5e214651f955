# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Bag: burst, fill against the school's line, age against the hygiene limit, days left at the use rate.
      class ReadBag < Reader
        ASKS_FOR = %i[fitted_on hours_per_week].freeze
        CLAUSES = %i[burst full stale soon_full room_left].freeze
        SOON_DAYS = 14 # it will not last until anybody looks again (house rule)
        HYGIENE_DAYS = 62 # common practice: every two months at twice a week

        private

        def fill
          @observed[:fill_percent]
        end

        # A bag that is pressed together (a dock's) has its own line on the sheet.
        def limit
          @position.measures["change_at_percent"] || policy.bag_limit_percent
        end

        def whose
          @position.measures["change_at_percent"] ? :sheet : :shop
        end

        def hygiene_days
          @position.measures["hygiene_days"] || HYGIENE_DAYS
        end

        def burst
          return unless @observed[:burst]

          say(:replace, :burst, confidence: :high)
        end

        def full
          return unless fill && fill >= limit

          say(:replace, :bag_full, fill: fill, limit: limit, whose: whose)
        end

        def stale
          return unless fill && @background.age_days && @background.age_days > hygiene_days

          say(:replace, :bag_stale, age_days: @background.age_days, hygiene_days: hygiene_days)
        end

        def soon_full
          return unless fill && days_left && days_left < SOON_DAYS

          say(:replace, :bag_soon_full, fill: fill, left_days: [days_left, 0].max, confidence: :low)
        end

        def room_left
          return unless fill

          say(:leave, :bag_room_left, fill: fill, limit: limit, left_days: days_left)
        end

        # @return [Integer, nil] until it is full, or stale; nil while nobody knows how fast it fills
        def days_left
          hours = @position.measures["hours_a_bag"]
          return unless hours && @background.hours_per_week&.positive?

          weeks = (limit - fill) / limit.to_f * hours / @background.hours_per_week
          [(weeks * 7).round(Clocks::Run::EXACT_DIGITS).floor, hygiene_days_left].compact.min
        end

        def hygiene_days_left
          @background.age_days && (hygiene_days - @background.age_days)
        end
      end
    end
  end
end
