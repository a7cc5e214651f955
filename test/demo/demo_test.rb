# frozen_string_literal: true

require_relative "../test_helper"

# The demo is invented throughout, alive on the day it is loaded, and always the same for a day.
class DemoTest < DatabaseTest
  def test_people_are_reached_nowhere_real
    Models::Customer.all.each do |customer|
      assert_match(/\A555-01\d\d\z/, customer.phone)
      assert_match(/@example\.org\z/, customer.email) if customer.email
    end

    assert_equal [true], Models::Person.select_map(:email).map { |email| email.end_with?("example.org") }.uniq
  end

  def test_the_bench_has_every_state_and_a_stop
    assert_equal (Core::Jobs::States::IN_SHOP - [:referred]).sort,
      Models::Job.in_shop.select_map(:state).uniq.map(&:to_sym).sort
    refute_empty Models::Stop.standing
  end

  def test_wet_and_dry_parts_lie_on_the_rack_and_cards_were_sent_and_answered
    stays = Models::RackStay.where(off_at: nil).all

    assert_equal [false, true], stays.map { |stay| stay.dry?(NOW) }.uniq.sort_by(&:to_s)
    refute_empty Models::Card.dataset
    refute_empty Models::Answer.dataset
    assert_empty Models::Message.exclude(state: "handed_over")
  end

  def test_the_shelf_has_gaps
    assert_includes Models::StockLevel.select_map(:pieces), 0
    Models::StockLevel.all.each do |level|
      assert_equal level.pieces, Models::StockMove.where(part_id: level.part_id).sum(:pieces)
    end
  end

  # As a shop's book would look: deliveries of some pieces, and a count that is off by a few.
  def test_no_part_came_or_went_by_the_hundred
    assert_operator Models::StockMove.max(:pieces), :<=, 100
    assert_operator Models::StockMove.where(kind: "counted").select_map(:pieces).map(&:abs).max, :<=, 25
  end

  def test_the_same_seed_gives_the_same_people
    first, second = Array.new(2) { Demo::Names.households(Random.new(1)) }

    assert_equal first, second
    assert_equal Demo::Names::HOUSEHOLDS, Demo::Names.households(Random.new(1)).map { |row| row[:name] }.uniq.size
  end
end
