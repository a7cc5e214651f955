# frozen_string_literal: true

require_relative "../../core_helper"

class AnswerLineTest < CoreTest
  def read(text)
    Cards::AnswerLine.new(text: text, today: MONDAY).read.values_at(:who, :kind, :on, :weeks, :note)
  end

  def test_one_line_says_who_what_and_when
    { "Corvell will come tue: after lunch" => ["Corvell", "will_come", MONDAY + 1, 4, "after lunch"],
      "0107 comes Monday" => ["0107", "will_come", MONDAY + 7, 4, nil],
      "edda corvell coming 2026-03-20" => ["edda corvell", "will_come", Date.new(2026, 3, 20), 4, nil],
      "corvell later 8 weeks" => ["corvell", "not_now", nil, 8, nil],
      "corvell wants to wait" => ["corvell", "not_now", nil, 4, nil],
      "corvell please send" => ["corvell", "send_part", nil, 4, nil],
      "corvell stop" => ["corvell", "stop_writing", nil, 4, nil],
      "corvell has it done" => ["corvell", "done_elsewhere", nil, 4, nil],
      "corvell sold it" => ["corvell", "no_longer_have", nil, 4, nil],
      "corvell bounced: box: full" => ["corvell", "bounced", nil, 4, "box: full"],
      "corvell 8 later 6 or 10" => ["corvell 8", "not_now", nil, 6, nil],
      "comes tue" => ["", "will_come", MONDAY + 1, 4, nil],
      "corvell bounced: box full" => ["corvell", "bounced", nil, 4, "box full"],
      "corvell comes tomorrow" => ["corvell", "will_come", MONDAY + 1, 4, nil],
      "corvell comes 2026-02-30" => ["corvell", "will_come", nil, 4, nil] }
      .each { |text, read| assert_equal read, read(text), text }
  end

  def test_a_line_that_says_nothing_names_somebody_at_most
    assert_equal ["Corvell", nil, nil, 4, nil], read("Corvell")
    assert_equal ["", nil, nil, 4, nil], read("  ")
  end
end
