# frozen_string_literal: true

module UprightBench
  module Core
    module Drying
      # How long must a washed part dry? At least the sheet's floor; longer in damp air or when not shaken out.
      #
      #   DryingTime.new(floor_hours: 24, usual_hours: 24, air: Air.new(...), shaken: true, draught: false).call
      #   # => Answer with hours 24.0 and the reasons, or hours nil where it will not dry here
      class DryingTime
        # hours is nil where the room will not dry it, or not within MOST_HOURS.
        class Answer
          include Value

          fields :hours, :reasons

          def dries?
            !hours.nil?
          end
        end

        REFERENCE = Air.new(temperature_c: 21, humidity_percent: 50) # the air that the hours are meant for (house rule)
        WILL_NOT_DRY_PERCENT = 95  # house rule
        MOST_HOURS = 96.0          # house rule
        NOT_SHAKEN = 2.0           # common practice: not shaken out doubles the time
        DRAUGHT = 0.75             # house rule; a cool draught helps (common practice)

        # @param how [Hash] shaken, draught
        # @return [Float] how many times as long it takes
        def self.factor(shaken: true, draught: false)
          (shaken ? 1.0 : NOT_SHAKEN) * (draught ? DRAUGHT : 1.0)
        end

        # @param floor_hours [Numeric, nil] the sheet's own number
        # @param usual_hours [Numeric] the shop rule, used where the sheet has no number
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
          return too_long if stretched > [MOST_HOURS, base].max

          Answer.new(hours: hours, reasons: [base_reason, air_reason, shaken_reason, draught_reason, bound].compact)
        end

        # @return [Float] hours in the air that they are meant for, and the least that it takes
        def base
          (@floor || @usual).to_f
        end

        private

        def hours
          [stretched, base].max
        end

        def stretched
          base * air_factor * self.class.factor(shaken: @shaken, draught: @draught)
        end

        def air_factor
          @air ? REFERENCE.deficit_kpa / @air.deficit_kpa : 1.0
        end

        def base_reason
          Reason.of(@floor ? :floor_of_sheet : :usual_hours, hours: base)
        end

        def air_reason
          return Reason.of(:no_air) unless @air

          Reason.of(:air, temperature: @air.temperature_c, humidity: @air.humidity_percent, factor: air_factor)
        end

        def shaken_reason
          Reason.of(:not_shaken, factor: NOT_SHAKEN) unless @shaken
        end

        def draught_reason
          Reason.of(:draught, factor: DRAUGHT) if @draught
        end

        def bound
          Reason.of(:never_below, hours: base) if stretched < base
        end

        # Beyond that, mold is quicker than the air.
        def too_long
          reason = Reason.of(:too_long, days: (MOST_HOURS / 24).round)
          Answer.new(hours: nil, reasons: [reason, air_reason, shaken_reason].compact)
        end

        def will_not_dry
          Answer.new(hours: nil, reasons: [Reason.of(:will_not_dry, humidity: @air.humidity_percent)])
        end
      end
    end
  end
end
