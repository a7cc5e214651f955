# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Motor.
      Motor = KindWords.new(
        labels: { state: "Motor" },
        steps: {},
        faults: { worn: "runs rough: worn", burnt: "burnt smell" },
        act: "Let it run for a moment, closed up, and listen.",
        sign: "rough, rattling, or a burnt smell: stop", tool: nil,
        measures: {},
        found: {
          motor_even: { both: "The motor runs evenly." },
          motor_high_pitched: {
            staff: "High-pitched: look for a blockage, or a filter out of place. Nothing is done to the motor.",
            customers: "Runs high-pitched, as where something blocks the air."
          },
          motor_rough: {
            staff: "Runs rough: a bearing. Refer to the maker.",
            customers: "Runs rough: a bearing. That is work for the maker."
          },
          motor_burnt_smell: { both: "Burnt smell: stop, and refer to a competent person under local rules." },
          motor_cracked: {
            staff: "The housing is cracked: refer to the maker.",
            customers: "The housing is cracked. That is work for the maker."
          }
        }
      )
    end
  end
end
