# frozen_string_literal: true

module UprightBench
  module Screens
    module Sheets
      # The sentences of a sheet's opening steps.
      module StepWords
        # @return [Array<String>] parts in the order in which they go back when everything was open
        def refit_names(core)
          Core::Strip::Plan.new(core, core.walk.map(&:key)).refit.flat_map { |back| back.places.map(&:name) }
        end

        # @return [String] SVG; empty where nobody said where anything sits
        def step_drawing(step)
          step.fasteners.any? { |held| held.at.any? } ? Drawings::StepPlan.new(step).render : ""
        end

        # @return [String] of the place, and of each action that has words of its own
        def care_words(place)
          own = place.care_of.map { |action, words| "#{action.capitalize}: #{words}" }
          [place.care, *own].compact.join(" ")
        end

        # @return [String] as in "clean takes us 9 min (12 times)"
        def taken_words(row)
          "#{row.action} takes us #{minutes_words(row.minutes.round.clamp(1..))} (#{row.times} times)"
        end

        # @return [Array<String>] what there is to know of a step, a sentence each
        def step_lines(core, step)
          [*step.fasteners.map(&:words), *lost_words(step), step.safe, step.orientation, step.tight, step.never,
           ("Reaches: #{place_names(core, step.opens)}." if step.opens.any?),
           ("Takes off: #{place_names(core, step.takes_off)}." if step.takes_off.any?)].compact
        end

        def lost_words(step)
          [("May fall out or lift: #{step.may_lift.join(', ')}." if step.may_lift.any?),
           ("Plugs: #{step.connectors.join(', ')}." if step.connectors.any?)]
        end
      end
    end
  end
end
