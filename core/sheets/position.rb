# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # One serviceable place on a model. `beside` places hang from the air path at their station.
      #
      # water is :never, :cold, :lukewarm, or :unknown where nobody looked it up; measures are millimetres or what their
      # key says.
      # `turn_halfway` says that its part is turned over on the rack, halfway through its drying.
      # `blow_out` says that cleaning it ends with compressed air.
      # `care_of` are words of an action's own (wash, clean, replace), where `care` does not suit all of them.
      # `refit_before` names places whose parts go back after this one's, where the way in does not say so.
      # `seat` is the chamber it sits in, where several share one, and `layer` its place there, counted along the air;
      # `alone` says that nothing may be stacked on it; `never_without` names the place that must be filled too.
      # `look`, `sign` and `tool` say how it is looked at when a fault is sought, where that differs from its kind of
      # part; `shares` how often its faults are behind a complaint, and `lights` which lights tell of them.
      class Position
        include Value

        fields :key, :name, :station, :kind,
          beside: false, material: nil, water: :never, cleaner: nil, tap_out: false, care: nil, care_of: {},
          drying_floor_hours: nil, turn_halfway: false, blow_out: false, minutes: 5,
          attributes: {}, measures: {}, features: [], tasks: [], refit_before: [],
          seat: nil, layer: nil, alone: false, never_without: nil, caution: nil,
          look: nil, sign: nil, tool: nil, shares: [], lights: []

        WATERS = %i[never cold lukewarm unknown].freeze
        # Actions that may have words of their own.
        CARED = %w[wash clean replace].freeze
        # What a place has beside its part that is asked for at a look-over.
        FEATURES = %w[status_light].freeze

        # @return [Kind]
        def kind_of_part
          Kinds.fetch(kind)
        end

        # @param action [String, Symbol]
        # @return [String, nil] how to care for it: in words of the action's own, else in those of the place; which say
        #   of a filter how it is washed, and so are not for one that is tapped out
        def care_for(action)
          care_of.fetch(action.to_s) { care unless action.to_s == "clean" && kind == :filter && washable? }
        end

        # @return [Boolean] the sheet says so
        def washable?
          %i[cold lukewarm].include?(water)
        end

        # @return [Boolean] the sheet does not say: whoever is at the bench may judge
        def water_unknown?
          water == :unknown
        end

        def may_be_wetted?
          washable? || water_unknown?
        end

        # @return [Clocks::Task, nil]
        def task(key)
          tasks.find { |task| task.key == key }
        end

        # @param need [String] a feature, a measure, or "indicator"
        def asks_for?(need)
          features.include?(need) || measures.key?(need) || (need == "indicator" && tasks.flat_map(&:clocks)
            .any? { |clock| clock.kind == :indicator })
        end

        private

        def check
          raise ArgumentError, "unknown kind #{kind}" unless Kinds::ALL.key?(kind)
          raise ArgumentError, "minutes must be positive" unless minutes.positive?
          raise ArgumentError, "a task stands twice" if tasks.map(&:key).uniq.size < tasks.size

          check_features
          check_care
          check_water
        end

        def check_care
          unknown = care_of.keys - CARED
          raise ArgumentError, "no care of #{unknown.join(', ')}" if unknown.any?
        end

        def check_features
          unknown = features - FEATURES
          raise ArgumentError, "unknown feature #{unknown.join(', ')}" if unknown.any?
        end

        def check_water
          raise ArgumentError, "water is #{WATERS.join(', ')}" unless WATERS.include?(water)
          raise ArgumentError, "what may be wetted needs drying_floor_hours" if washable? && drying_floor_hours.nil?
          return unless may_be_wetted? && kind_of_part.trait?(:never_wet)

          raise ArgumentError, "a #{kind.to_s.tr('_', ' ')} is never wetted"
        end
      end
    end
  end
end
