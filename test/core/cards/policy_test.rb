# frozen_string_literal: true

require_relative "../../core_helper"

class CardPolicyTest < CoreTest
  def test_written_about_once_before_it_is_followed_up
    assert_equal [[0], [0, 1, 2]], [0, 2].map { |most|
      Cards::Policy.new(most_follow_ups: most).attempts_to_follow
    }
  end

  def test_the_longest_lead_is_that_of_the_slowest_channel
    policy = Cards::Policy.new

    assert_equal Cards::Channels::ORDER.map { |channel| policy.lead_days(channel) }.max, policy.longest_lead_days
  end
end
