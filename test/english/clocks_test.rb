# frozen_string_literal: true

require_relative "../core_helper"

# Whatever kind of clock there is, everything is said of it: to staff, to customers, and where one is chosen.
class ClockWordsTest < CoreTest
  English = UprightBench::English
  DAYS = { from_on: Date.new(2026, 3, 2), read_on: Date.new(2026, 5, 4), until_on: Date.new(2027, 2, 15) }.freeze

  Clocks::Kinds::ALL.each do |kind|
    words = English::Clocks::ALL.fetch(kind.kind)

    define_method(:"test_#{kind.kind}_has_a_word_for_each_choice_and_each_reason") do
      assert_equal kind::CHOICES.keys.sort, words.counts.keys.sort
      assert_equal kind::EXAMPLES.keys.sort, words.reasons.keys.sort
      assert_equal kind::EXAMPLES.keys.sort, kind::CARD_TEXTS.keys.sort
      assert_match(/\S/, words.decided)
    end

    define_method(:"test_#{kind.kind}_makes_what_is_chosen_and_gives_the_reason_that_is_worded") do
      made = kind::CHOICES.values.map do |fields|
        each = fields.key?("of") ? { each_months: 1 } : {}
        Clocks::Clock.of(**fields.transform_keys(&:to_sym), limit: 10, **each)
      end

      assert_equal [kind], made.map(&:class).uniq
      assert_equal kind::EXAMPLES.keys.sort, made.map(&:reason_key).sort
    end

    kind::EXAMPLES.each do |key, figures|
      define_method(:"test_#{key}_is_said_whole_to_staff_and_customers") do
        reason = Reason.of(key, **figures, **DAYS)
        text, = kind::CARD_TEXTS.fetch(key)

        refute_match(/[{}]/, English::Sentences.of(reason))
        assert_includes Cards::Texts::WHY, text
        assert_match(/15 February 2027/, Cards::Words.new.why(reason))
      end
    end
  end
end
