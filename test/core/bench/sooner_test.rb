# frozen_string_literal: true

require_relative "plan_helper"

# What it would take to promise a job sooner.
class SoonerTest < CoreTest
  include PlanHelper

  def sooner(shop, chains, chain)
    ask = { shop: shop, chains: chains, chain: chain, kept: Bench::Kept.new }
    answer = Bench::TakeIn.new(**ask).call
    [answer.by, Bench::Sooner.new(ask, answer).call]
  end

  def test_new_parts_instead_of_a_wash
    by, ways = sooner(shop, [], chain(1, operation(20, dry_minutes: 1440), 10))

    assert_equal [:new_instead, 30 + 15], [ways.first.kind, ways.first.by]
    assert_operator by, :>=, 1440
  end

  # 330 minutes in front, 240 of its own: it ends in the morning, or in an evening that is an hour longer.
  def test_somebody_stays_on
    by, ways = sooner(shop, [chain(1, operation(240, 90), promise: 330)], chain(2, operation(100, 100, 40)))
    stay = ways.find { |way| way.kind == :stay_on }

    assert_operator by, :>, 1440
    assert_equal [600, 1], [stay.by, stay.technician]
  end

  def test_somebody_else_is_asked_for_a_later_day
    by, ways = sooner(shop, [chain(7, 180, promise: 190)], chain(8, 60))

    assert_equal [240, :later_day, 7, 60 + 15], [by, *ways.first.to_h.values_at(:kind, :other, :by)]
  end

  def test_on_a_full_rack_another_place_to_dry_is_sooner
    rack = [Bench::Slot.new(size: 1, busy_until: 2000)]
    by, ways = sooner(shop(slots: rack), [], chain(1, operation(20, dry_minutes: 60, slots: [1]), 10))

    assert_operator by, :>, 2000
    assert_equal [[:new_instead, 30 + 15], [:elsewhere, 90 + 15]], ways.first(2).map { |way| [way.kind, way.by] }
  end

  def test_nothing_makes_it_sooner_than_its_own_work
    assert_empty sooner(shop, [], chain(1, 60)).last
  end
end
