# frozen_string_literal: true

module UprightBench
  module English
    # The words for one kind of clock. Why something is due is said to customers in the owner's texts
    # (Core::Cards::Texts).
    class ClockWords
      include Core::Value

      # @!attribute decided [String] what decided a date, in a word
      # @!attribute counts [Hash{String=>String}] what may be counted, a key of its CHOICES => words behind an amount
      # @!attribute reasons [Hash{Symbol=>Array<String>}] its reasons, to staff: pieces as in Sentences
      fields :decided, :counts, :reasons
    end
  end
end
