# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Bag: burst, fill against the school's line, age against the hygiene limit, days left at the use rate.
      class ReadBag < Reader
        CLAUSES = %i[burst full stale room_left].freeze
        HYGIENE_DAYS = 62 # common practice: every two months at twice a week

        private

        def fill
          @observed[:fill_percent]
        end

        def burst
          return unless @observed[:burst]

          say(:replace, :burst, "The bag has burst: look for dust behind it, on the motor filter.", confidence: :high)
        end

        def full
          return unless fill && fill >= policy.bag_limit_percent

          say(:replace, :bag_full, "#{fill} % full; the shop changes at #{policy.bag_limit_percent} %, suction falls as it fills.")
        end

        def stale
          return unless fill && @background.age_days && @background.age_days > HYGIENE_DAYS

          say(:replace, :bag_stale, "In use for #{@background.age_days} days; after #{HYGIENE_DAYS} it smells, full or not.")
        end

        def room_left
          return unless fill

          say(:leave, :bag_room_left, "#{fill} % full, the line is #{policy.bag_limit_percent} %#{days_left_words}.")
        end

        def days_left_words
          hours = @position.measures["hours_a_bag"]
          return "" unless hours && @background.hours_per_week&.positive?

          share = (policy.bag_limit_percent - fill) / policy.bag_limit_percent.to_f
          ": about #{(share * hours / @background.hours_per_week * 7).floor} days left"
        end
      end
    end
  end
end
