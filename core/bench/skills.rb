# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What not everybody at the bench may do, where the owner names those who may. What nobody is named for, everybody
      # may.
      module Skills
        WORDS = { motor_heads: "opens motor heads", final_tests: "does final tests" }.freeze
        MOTOR = %i[motor carbon sensor].freeze # kinds of place that lie in the motor head

        module_function

        # @param sheet [Sheets::Sheet]
        # @param place [Sheets::Position]
        # @param action [String] what is done there
        # @return [Symbol, nil] one of WORDS; nil for what everybody may
        def of(sheet, place, action)
          return if action == "inspect"

          :motor_heads if MOTOR.include?(place.kind) || sheet.openers(place.key).any?(&:beyond_handbook)
        end
      end
    end
  end
end
