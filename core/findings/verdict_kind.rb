# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # A kind of verdict: what is to be done at a place. The order is that of the keys 1 to 5.
      class VerdictKind
        include Value

        # @!attribute key [Symbol]
        # @!attribute letter [String] in its mark
        # @!attribute words [String] as it is read out
        # @!attribute minutes [Integer] that it takes, beside the minutes to reach its place (house rules)
        # @!attribute means [String] what is done, in a sentence
        # @!attribute done [String, nil] the button that says it is done
        # @!attribute past [String, nil] what was done, as it is told afterwards
        fields :key, :letter, :words, :means, minutes: 0, done: nil, past: nil

        ALL = [
          new(key: :leave, letter: "L", words: "leave", means: "Nothing to do."),
          new(key: :clean, letter: "C", words: "clean", minutes: 5, done: "Cleaned", past: "cleaned",
            means: "Wipe, brush, tap out or cut free. No water."),
          new(key: :wash, letter: "W", words: "wash", minutes: 8, done: "Washed: to the rack", past: "washed",
            means: "Wash with water. It takes a slot on the rack until it is dry."),
          new(key: :replace, letter: "R", words: "replace", minutes: 3, done: "Fitted", past: "replaced",
            means: "Fit a new part."),
          new(key: :refer, letter: "S", words: "stop and refer", minutes: 5, done: "Referred", past: "referred",
            means: "Stop. It belongs to a competent person, under local rules. Nothing else is done until somebody " \
                   "records what was done about it.")
        ].freeze
        KEYS = ALL.map(&:key).freeze
        BY_KEY = ALL.to_h { |kind| [kind.key, kind] }.freeze

        # @param action [Symbol, String] key of a kind, or another task, as to inspect
        # @return [String] what was done
        def self.past_of(action)
          BY_KEY[action.to_sym]&.past || "looked at"
        end

        # @param key [Symbol, String]
        # @raise [KeyError]
        def self.of(key)
          BY_KEY.fetch(key.to_sym)
        end
      end
    end
  end
end
