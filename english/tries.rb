# frozen_string_literal: true

module UprightBench
  module English
    # What a check may show, in its own words (Core::Faults::Check): found and clear are said of a look at a place, and
    # mean nothing of a try.
    module Tries
      # What is said of a check that shows its sign, and of one that does not.
      Outcomes = Struct.new(:found, :clear)

      # beginning of a check's key => its outcomes
      OUTCOMES = {
        "try:hose" => Outcomes.new("it pulls hard at the open end", "no pull at the open end"),
        "try:inlet" => Outcomes.new("it pulls hard at the motor's inlet", "no pull at the motor's inlet"),
        "try:head" => Outcomes.new("the noise is gone without its head", "the noise is still there without its head"),
        "swap:" => Outcomes.new("gone with another one in", "still there with another one in"),
        "without:" => Outcomes.new("gone without it", "still there without it"),
        "alone:" => Outcomes.new("it goes stiffly with this one alone", "it goes easily with this one alone"),
        "lights" => Outcomes.new("it shows a code", "no code"),
        "settings" => Outcomes.new("set wrong", "set right")
      }.freeze
      OF_A_LOOK = Outcomes.new("found", "clear")
      CANNOT_TELL = "cannot tell"

      module_function

      # @param check [Core::Faults::Check]
      # @param result [Symbol] of Core::Faults::Belief::RESULTS
      # @return [String] as in "no pull at the open end"
      def outcome(check, result)
        return CANNOT_TELL if result == :cannot_tell

        outcomes(check)[result]
      end

      # @return [Outcomes]
      def outcomes(check)
        key = OUTCOMES.keys.find { |beginning| check.key.start_with?(beginning) } if check.tried? || check.splits
        OUTCOMES.fetch(key, OF_A_LOOK)
      end
    end
  end
end
