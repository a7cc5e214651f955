# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # One serviceable place on a model. `beside` places hang from the air path at their station.
      #
      # water is :never, :cold, :lukewarm, or :unknown where nobody looked it up; measures are millimetres or what their
      # key says.
      # `behind` names the places that must come off before this one is reached.
      # `seat` is the chamber it sits in, where several share one, and `layer` its place there, counted along the air;
      # `alone` says that nothing may be stacked on it; `never_without` names the place that must be filled too.
      # `look`, `sign` and `tool` say how it is looked at when a fault is sought, where that differs from its kind of
      # part; `shares` how often its faults are behind a complaint, and `lights` which lights tell of them.
      # `beyond_handbook` says that the owner's handbook leaves it shut: opening it may end the maker's warranty.
      class Position
        include Value

        fields :key, :name, :station, :kind,
          beside: false, material: nil, water: :never, cleaner: nil, tap_out: false, care: nil,
          drying_floor_hours: nil, minutes: 5,
          attributes: {}, measures: {}, features: [], tasks: [], refit_order: nil, fasteners: [], behind: [],
          seat: nil, layer: nil, alone: false, never_without: nil, beyond_handbook: false, caution: nil,
          look: nil, sign: nil, tool: nil, shares: [], lights: []

        WATERS = %i[never cold lukewarm unknown].freeze
        # What a place has beside its part that is asked for at a look-over.
        FEATURES = %w[status_light].freeze
        # Never wetted, whatever a sheet says (common practice).
        NEVER_WETTED = %i[motor carbon battery lead contacts sensor wheels belt].freeze

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
          raise ArgumentError, "unknown kind #{kind}" unless Findings::KINDS.key?(kind)
          raise ArgumentError, "minutes must be positive" unless minutes.positive?
          raise ArgumentError, "a task stands twice" if tasks.map(&:key).uniq.size < tasks.size

          check_features
          check_water
        end

        def check_features
          unknown = features - FEATURES
          raise ArgumentError, "unknown feature #{unknown.join(', ')}" if unknown.any?
        end

        def check_water
          raise ArgumentError, "water is #{WATERS.join(', ')}" unless WATERS.include?(water)
          raise ArgumentError, "what may be wetted needs drying_floor_hours" if washable? && drying_floor_hours.nil?
          return unless may_be_wetted? && NEVER_WETTED.include?(kind)

          raise ArgumentError, "a #{kind.to_s.tr('_', ' ')} is never wetted"
        end
      end
    end
  end
end
