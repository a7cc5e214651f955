# frozen_string_literal: true

require_relative "../../core_helper"

class StatesTest < CoreTest
  def test_every_state_has_words_and_a_next_action
    Jobs::States::ALL.each do |state|
      refute_empty Jobs::States::WORDS.fetch(state)
      refute_empty Jobs::States::NEXT_ACTION.fetch(state)
    end
  end

  def test_a_job_cannot_skip_the_agreement_or_the_closing
    refute Jobs::States.may_follow?(:looked_over, :closed_up)
    refute Jobs::States.may_follow?(:in_work, :handed_over)
    assert Jobs::States.may_follow?(:closed_up, :handed_over)
  end

  def test_every_state_can_be_reached_from_taking_in
    reached = [:taken_in]
    6.times { reached |= Jobs::States::ENTERED_FROM.select { |_, from| from.intersect?(reached) }.keys }

    assert_equal Jobs::States::ALL.sort, reached.sort
  end

  # No work before the agreement, no estimate after the work, nothing recorded when it is over.
  def test_what_may_be_done_in_each_state
    in_sets = Jobs::States::ALL.to_h do |state|
      [state, Jobs::States::SETS.keys.select { |set| Jobs::States.in?(set, state) }]
    end

    assert_equal %i[to_look_over recordable in_shop], in_sets[:taken_in]
    assert_equal %i[estimated changeable recordable in_shop], in_sets[:looked_over]
    assert_equal %i[agreed under_way changeable recordable in_shop], in_sets[:in_work]
    assert_equal %i[to_collect taken_back in_shop], in_sets[:closed_up]
    assert_equal %i[taken_back over], in_sets[:handed_over]
  end

  def test_every_state_is_at_one_step_of_the_job_page
    assert_equal Jobs::States::ALL.sort, Jobs::States::STEPS.values.flatten.sort
    assert_equal %i[past past now later later], Jobs::States::STEPS.keys.map { |step|
      Jobs::States.phase(step, "waiting")
    }
  end
end
