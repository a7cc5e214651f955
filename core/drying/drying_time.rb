# frozen_string_literal: true

module UprightBench
  module Core
    module Drying
      # How long must a washed part dry? At least the sheet's floor; longer in damp air or when not shaken out.
      #
      #   DryingTime.new(floor_hours: 24, usual_hours: 24, air: Air.new(...), shaken: true, draught: false).call
      #   # => Answer with hours 24.0 and the reasons, or hours nil where it will not dry here
      class DryingTime
        # hours is nil where the room will not dry anything.
        class Answer
          include Value

          fields :hours, :reasons

          def dries?
            !hours.nil?
          end
        end

        REFERENCE = Air.new(temperature_c: 21, humidity_percent: 50) # the air the schools' hours mean (house rule)
        WILL_NOT_DRY_PERCENT = 95  # house rule
        MOST_HOURS = 96.0          # house rule
        NOT_SHAKEN = 2.0           # common practice: not shaken out doubles the time
        DRAUGHT = 0.75             # house rule; a cool draught helps (common practice)

        # @param floor_hours [Numeric, nil] the sheet's own number
        # @param usual_hours [Numeric] the shop's school, used where the sheet has no number
        # @param air [Air, nil] nil when nothing was read
        def initialize(floor_hours:, usual_hours:, air: nil, shaken: true, draught: false)
          @floor = floor_hours
          @usual = usual_hours
          @air = air
          @shaken = shaken
          @draught = draught
        end

        # @return [Answer]
        def call
          return will_not_dry if @air && @air.humidity_percent >= WILL_NOT_DRY_PERCENT

          Answer.new(hours: hours, reasons: [base_words, air_words, shaken_words, draught_words, bound_words].compact)
        end

        private

        def base
          (@floor || @usual).to_f
        end

        def hours
          stretched.clamp(base, [MOST_HOURS, base].max)
        end

        def stretched
          base * air_factor * (@shaken ? 1 : NOT_SHAKEN) * (@draught ? DRAUGHT : 1)
        end

        def air_factor
          @air ? REFERENCE.deficit_kpa / @air.deficit_kpa : 1.0
        end

        def base_words
          format(@floor ? "the sheet's own %<h>g h" : "the shop's school, %<h>g h", h: base)
        end

        def air_words
          return "no room reading, taken as it stands" unless @air

          format("room at %<t>g °C and %<h>g %%: × %<f>.2f", t: @air.temperature_c, h: @air.humidity_percent,
            f: air_factor)
        end

        def shaken_words
          "not shaken out: × #{NOT_SHAKEN.to_i}" unless @shaken
        end

        def draught_words
          "in a cool draught: × #{DRAUGHT}" if @draught
        end

        def bound_words
          return format("never below %<h>g h", h: base) if stretched < base

          format("at most %<h>g h", h: hours) if stretched > hours
        end

        def will_not_dry
          Answer.new(hours: nil, reasons: [format("room at %<h>g %% humidity: it will not dry here, find another place",
            h: @air.humidity_percent)])
        end
      end
    end
  end
end
