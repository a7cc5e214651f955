# frozen_string_literal: true

require_relative "../../core_helper"

# A card that waits leaves only while it is still wanted. (House rules.)
class WaitingCardTest < CoreTest
  WANTED = { channel: :email, agreed: true, address: "edda@example.org", tasks_left: 1 }.freeze

  def unwanted(**changed)
    Cards::WaitingCard.new(**WANTED, **changed).unwanted
  end

  def test_it_is_wanted_while_something_is_left_to_say_to_somebody_who_agrees
    assert_nil unwanted
    assert_match(/asked us to stop/, unwanted(stopped: true))
    assert_match(/no longer agrees to e-mail/, unwanted(agreed: false))
    assert_equal [/no address/] * 2, [nil, ""].map { |none| unwanted(address: none)[/no address/] && /no address/ }
    assert_match(/done, put off or on the bench/, unwanted(tasks_left: 0))
  end

  def test_to_stop_is_said_first
    assert_match(/stop/, unwanted(stopped: true, agreed: false, address: nil, tasks_left: 0))
  end
end
