# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # One serviceable place on a model. `beside` places hang from the air path at their station.
      # water is :never, :cold or :lukewarm; measures are millimetres or what their key says.
      class Position
        include Value

        fields :key, :name, :station, :kind,
               beside: false, material: nil, water: :never, tap_out: false, care: nil, drying_floor_hours: nil, minutes: 5,
               attributes: {}, measures: {}, tasks: [], refit_order: nil, fasteners: [], caution: nil

        WATERS = %i[never cold lukewarm].freeze

        def washable?
          water != :never
        end

        # @return [Clocks::Task, nil]
        def task(key)
          tasks.find { |task| task.key == key }
        end

        private

        def check
          raise ArgumentError, "unknown kind #{kind}" unless Findings::KINDS.key?(kind)
          raise ArgumentError, "water is never, cold or lukewarm" unless WATERS.include?(water)
          raise ArgumentError, "what may be wetted needs drying_floor_hours" if washable? && drying_floor_hours.nil?
          raise ArgumentError, "minutes must be positive" unless minutes.positive?
        end
      end
    end
  end
end
