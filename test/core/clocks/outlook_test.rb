# frozen_string_literal: true

require_relative "../../core_helper"

# What is said about a task before its machine leaves.
class OutlookTest < CoreTest
  def outlook(due_in, deciding: :months, goes_by: :condition, **task)
    due_on = due_in && (MONDAY + due_in)
    due = Clocks::Due.new(due_on: due_on, early_on: due_on, late_on: due_on, deciding: deciding, why: [])
    Clocks::Outlook.new(due: due, today: MONDAY, heard_on: MONDAY + 81,
      task: task(clock(:hours, 50), clock(:months, 12, goes_by: goes_by), **task))
  end

  # House rule: sixty days of quiet after a hand-over, and three weeks' lead by post.
  def test_what_would_be_overdue_and_what_nobody_would_hear_of_in_time
    assert_equal [:expired, :expired, :soon, :soon, nil], [-300, 0, 1, 81, 82].map { |days| outlook(days).state }
    assert_nil outlook(nil).state
  end

  def test_a_limit_that_comes_whatever_is_seen_is_not_still_good
    assert_equal [%i[now good left], %i[now left]],
      %i[condition fixed].map { |goes_by| outlook(-1, goes_by: goes_by).choices }
    assert_equal %i[now good left], outlook(-1, deciding: :hours, goes_by: :fixed).choices
    assert_equal [%i[now], []], [outlook(10), outlook(100)].map(&:choices)
  end

  # A card says it is to be looked at, and so does the look-over: nothing is claimed about a day.
  def test_what_nobody_knows_is_not_overdue
    assert_equal [:unknown, nil], [0, 100].map { |days| outlook(days, deciding: :unknown).state }
    assert_empty outlook(0, deciding: :unknown).choices
  end

  def test_what_is_looked_after_at_home_or_looked_at_anyway_is_not_asked_about
    assert_nil outlook(-100, card: false).state
    assert_nil outlook(-100, action: :inspect).state
  end
end
