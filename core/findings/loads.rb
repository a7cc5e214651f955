# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # What was found at a place, as evidence about its clocks: each field of a finding ages one action. Grey ages the
      # wash where the part may be washed, else the replacement; bristles, carbon, stretch, run time and the fill of a
      # bag age the replacement; turning, hair and dirt the cleaning. (Common practice; shares are house rules.)
      #
      #   Loads.new(place, { grey: 2 }).by_action  # => { wash: Load of 0.4, in steps of 0.2 }
      class Loads
        FULL_PERCENT = 100
        GREY_STEPS = ReadFilter::DARK
        TURNING = { "free" => 0.5, "drags" => 1.0, "stuck" => 1.5 }.freeze # house rule
        BRISTLES = { "full" => Load::HARDLY, "worn" => 1.0, "missing" => Load::MOST }.freeze # house rule
        CARED_FOR = %i[clean wash].freeze # and not replaced
        GRADED = 0.5 # step of a word that is one of two or three

        # @param position [Sheets::Position]
        # @param observed [Hash{Symbol=>Object}]
        # @param policy [Policy]
        def initialize(position, observed, policy: Policy.new)
          @position = position
          @observed = observed
          @policy = policy
        end

        # @return [Hash{Symbol=>Load}] action => how far it has come; of two that age one action the further counts
        def by_action
          @position.kind_of_part.ages.filter_map { |reader| send(reader) }
            .group_by(&:first).transform_values { |loads| loads.map(&:last).max_by(&:share) }
        end

        # @return [Array(Symbol, Load), nil] the action and the load from which is learned how the household treats the
        #   part; nil where nothing tells it
        def telling
          @position.kind_of_part.tells.lazy.filter_map { |reader| send(reader) }.first
        end

        # What is left as it was found. What is judged good and was not measured is hardly gone, and what a person
        # judged good over the measure is half gone at most (house rules); what is not good and was not measured is due.
        # What was cleaned or washed, and not replaced, is presumed to be half gone (house rule).
        # @param action [Symbol]
        # @param verdict [Symbol] a key of VerdictKind
        # @param judged [Boolean] whether it is a person's own
        # @return [Load, nil] nil when nothing was found about it
        def of(action, verdict:, judged: false)
          load = by_action[action]
          return unmeasured(action, verdict) if load.nil?

          judged && verdict == :leave ? load.with(share: [load.share, GRADED].min, at_least: false) : load
        end

        private

        def unmeasured(action, verdict)
          return Load.new(share: Load::HARDLY, step: GRADED) if verdict == :leave
          return Load.new(share: 1.0, step: GRADED) if verdict == action

          Load.new(share: GRADED, step: GRADED, presumed: true) if action == :replace && CARED_FOR.include?(verdict)
        end

        def load(action, share, step: 0, at_least: false)
          [action, Load.new(share: share.to_f.clamp(0, Load::MOST).round(2), step: step, at_least: at_least)]
        end

        def grey
          grey = @observed[:grey]
          return unless grey

          load(greyed_action, grey / GREY_STEPS.to_f, step: (1.0 / GREY_STEPS).round(2), at_least: grey == GREY_STEPS)
        end

        # A mesh that is only ever tapped out has nothing else to age.
        def greyed_action
          return :wash if @position.washable?

          actions = @position.tasks.map(&:action)
          actions.include?(:clean) && !actions.include?(:replace) ? :clean : :replace
        end

        def indicator
          percent = @observed[:indicator_percent]
          percent && load(:replace, percent / FULL_PERCENT.to_f, at_least: percent >= FULL_PERCENT)
        end

        def bag_fill
          fill(:replace, @position.measures["change_at_percent"] || @policy.bag_limit_percent)
        end

        def bin_fill
          fill(:clean, @policy.bin_limit_percent)
        end

        def fill(action, limit)
          percent = @observed[:fill_percent]
          percent && load(action, percent / limit.to_f, at_least: percent >= FULL_PERCENT)
        end

        def standout
          fresh = @position.measures["new_standout_mm"]
          left = @observed[:standout_mm]
          left && fresh && load(:replace, (fresh - left) / fresh.to_f, at_least: left <= 0)
        end

        def turns
          turning = @observed[:turns]
          turning && load(:clean, TURNING.fetch(turning), step: GRADED, at_least: turning == "stuck")
        end

        def bristles
          left = @observed[:bristles]
          left && load(:replace, BRISTLES.fetch(left), step: GRADED, at_least: left == "missing")
        end

        def stretch
          nominal = @position.measures["length_mm"]
          length = @observed[:length_mm]
          return unless nominal && length

          load(:replace, (length - nominal) * 100.0 / nominal / @policy.belt_stretch_percent)
        end

        def carbon_left
          fresh = @position.measures["new_length_mm"]
          left = @observed[:length_mm]
          return unless fresh && left

          least = @position.measures["least_length_mm"] || (fresh * ReadCarbon::LEAST_SHARE)
          load(:replace, (fresh - left) / (fresh - least).to_f)
        end

        def run_time
          shares = ReadBattery::SETTINGS.filter_map do |name|
            rated = @position.measures[name.to_s]
            @observed[name] / rated.to_f if rated && @observed[name]
          end
          shares.any? && load(:replace, (1 - shares.min) / (1 - (@policy.battery_limit_percent / 100.0)))
        end

        # The good state of a list is hardly gone; one that is cleaned has come so far, and so has one that is replaced.
        def state
          state = @position.kind_of_part.states[@observed[:state]] # a later sheet may have another kind here
          return unless state

          verdict = state.verdict_kind
          load(verdict == :replace ? :replace : :clean, verdict == :leave ? Load::HARDLY : 1.0, step: GRADED)
        end
      end
    end
  end
end
