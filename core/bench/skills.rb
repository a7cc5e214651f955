# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What not everybody at the bench may do, where the owner names those who may. What nobody is named for, everybody
      # may.
      module Skills
        WORDS = { motor_heads: "opens motor heads", final_tests: "does final tests" }.freeze

        module_function

        # @param sheet [Sheets::Sheet]
        # @param place [Sheets::Position]
        # @param action [String] what is done there
        # @return [Symbol, nil] one of WORDS; nil for what everybody may
        def of(sheet, place, action)
          return if action == "inspect"

          in_the_motor_head = place.kind_of_part.trait?(:in_the_motor_head)
          :motor_heads if in_the_motor_head || sheet.openers(place.key).any?(&:beyond_handbook)
        end
      end
    end
  end
end
