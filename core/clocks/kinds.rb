# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      # The kinds of clock, each in a file of its own in this folder: what stands there is a kind, and nothing else
      # does. Each says
      #
      # - RANK: its place where one is chosen, the usual one first
      # - CHOICES: what may be counted, a key => the fields of a sheet that make it
      # - CARD_TEXTS: its reasons, each => in which of Cards::Texts a customer reads it, and the figure that is counted
      # - EXAMPLES: the same reasons => figures to show such a text with
      module Kinds
        ALL = constants.map { |name| const_get(name) }.sort_by { |kind| kind::RANK }.freeze
        BY_KEY = ALL.to_h { |kind| [kind.kind, kind] }.freeze

        # What decided a date when no clock did.
        NONE = %i[unknown none].freeze
        # All that may have decided a date.
        DECIDING = [*BY_KEY.keys, *NONE].freeze

        # @param constant [Symbol]
        # @return [Hash] that constant of all kinds
        def self.all_of(constant)
          ALL.map { |kind| kind.const_get(constant, false) }.inject(:merge)
        end

        CHOICES = all_of(:CHOICES).freeze
        CARD_TEXTS = all_of(:CARD_TEXTS).freeze
        EXAMPLES = all_of(:EXAMPLES).freeze
      end
    end
  end
end
