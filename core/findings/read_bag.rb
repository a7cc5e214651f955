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

        # A bag that is pressed together (a dock's) has its own line on the sheet.
        def limit
          @position.measures["change_at_percent"] || policy.bag_limit_percent
        end

        def whose
          @position.measures["change_at_percent"] ? "its sheet" : "the shop"
        end

        def hygiene_days
          @position.measures["hygiene_days"] || HYGIENE_DAYS
        end

        def burst
          return unless @observed[:burst]

          say(:replace, :burst, "The bag has burst: look for dust behind it, on the motor filter.", confidence: :high)
        end

        def full
          return unless fill && fill >= limit

          say(:replace, :bag_full, "#{fill} % full; #{whose} changes at #{limit} %, suction falls as it fills.")
        end

        def stale
          return unless fill && @background.age_days && @background.age_days > hygiene_days

          say(:replace, :bag_stale, "In use for #{@background.age_days} days; after #{hygiene_days} it smells, full " \
                                    "or not.")
        end

        def room_left
          return unless fill

          say(:leave, :bag_room_left, "#{fill} % full, the line is #{limit} %#{days_left_words}.")
        end

        def days_left_words
          hours = @position.measures["hours_a_bag"]
          return "" unless hours && @background.hours_per_week&.positive?

          share = (limit - fill) / limit.to_f
          ": about #{(share * hours / @background.hours_per_week * 7).floor} days left"
        end
      end
    end
  end
end
