# frozen_string_literal: true

require_relative "../../core_helper"

class AddressTest < CoreTest
  BOTH = { ways: { email: "a@example.org", post: "Slip 3" }, agreed: %i[post email] }.freeze

  def address(**fields)
    Cards::Address.new(**fields)
  end

  def test_the_first_way_that_is_agreed_to_and_takes_what_is_sent
    assert_equal :email, address(**BOTH).channel
    assert_equal :post, address(**BOTH, faults: { email: "no such box" }).channel
    assert_equal :post, address(**BOTH, agreed: [:post]).channel
    assert_nil address(**BOTH).obstacle
  end

  def test_why_no_card_can_be_sent
    { { **BOTH, stopped: true } => /asked us to stop/, { ways: BOTH[:ways] } => /not agreed/,
      { agreed: [:text] } => /agreed to text message, but there is no address/,
      { **BOTH, faults: { email: "no such box", post: "moved" } } => /\Ae-mail and post: moved\z/,
      { **BOTH, agreed: [:email], faults: { email: "no such box" } } => /e-mail: no such box/ }
      .each { |fields, words| assert_match words, address(**fields).obstacle }
  end
end
