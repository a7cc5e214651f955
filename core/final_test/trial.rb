# frozen_string_literal: true

module UprightBench
  module Core
    module FinalTest
      # One thing that is tried before a machine goes home.
      #
      # @!attribute key [String]
      # @!attribute words [String] what must be so
      # @!attribute reason [Reason] why it is tried on this machine
      # @!attribute kind [Symbol] :complaint and :safety are answered for themselves; :usual may pass with the rest
      # @!attribute place [String, nil] where to look when it fails
      class Trial
        include Value

        fields :key, :words, :reason, kind: :usual, place: nil
      end
    end
  end
end
