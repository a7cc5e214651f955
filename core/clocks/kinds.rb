# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      # The kinds of clock, and how each is chosen and named where a sheet is edited and a date explained.
      module Kinds
        ALL = [Hours, Months, Count, Indicator].freeze
        BY_KEY = ALL.to_h { |kind| [kind.kind, kind] }.freeze

        # What decided a date when no clock did.
        NONE = { unknown: "history unknown", none: "no clock runs" }.freeze
        # kind => what decided, in a word
        DECIDED_BY = BY_KEY.transform_values { |kind| kind::DECIDES }.merge(NONE).freeze

        # What may be counted, as it is chosen: a word for it => the fields that make it.
        CHOICES = ALL.map { |kind| kind::CHOICES }.inject(:merge).freeze
        # The same words => how they read behind an amount.
        CHOICE_WORDS = ALL.map { |kind| kind::CHOICE_WORDS }.inject(:merge).freeze
      end
    end
  end
end
