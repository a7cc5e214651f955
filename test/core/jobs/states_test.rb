# frozen_string_literal: true

require_relative "../../core_helper"

class StatesTest < CoreTest
  def test_every_state_has_words_and_a_next_action
    Jobs::States::ALL.each do |state|
      refute_empty Jobs::States::WORDS.fetch(state)
      refute_empty Jobs::States::NEXT.fetch(state)
    end
  end

  def test_a_job_cannot_skip_the_agreement_or_the_closing
    refute Jobs::States.may?(:looked_over, :closed_up)
    refute Jobs::States.may?(:in_work, :handed_over)
    assert Jobs::States.may?(:closed_up, :handed_over)
  end

  def test_every_state_can_be_reached_from_taking_in
    reached = [:taken_in]
    6.times { reached |= Jobs::States::ENTERED_FROM.select { |_, from| from.intersect?(reached) }.keys }

    assert_equal Jobs::States::ALL.sort, reached.sort
  end
end
