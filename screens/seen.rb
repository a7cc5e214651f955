# frozen_string_literal: true

module UprightBench
  module Screens
    # What decides the places of a model that nobody has on file, and is seen on the machine itself.
    module Seen
      # what is asked => its question, and the answers: value => words
      ASKED = { dust: ["Dust collects in", { "bag" => "a bag", "bin" => "a bin" }],
                power: ["Runs on", { "mains" => "the mains", "battery" => "a pack" }],
                roll: ["The brush has", { "bristle" => "bristles", "soft" => "a soft roll" }] }.freeze
      VALUES = ASKED.transform_values { |_, words| words.keys }.freeze
    end
  end
end
