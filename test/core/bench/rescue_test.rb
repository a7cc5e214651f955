# frozen_string_literal: true

require_relative "plan_helper"

# What another plan would mean for the promises, and what would save one that is in danger.
class RescueTest < CoreTest
  include PlanHelper

  def standing(shop, *chains, order: nil)
    problem = problem(shop, *chains)
    Bench::Standing.new(placed(problem, order || problem.steps.map(&:index)))
  end

  def ways(standing, number)
    Bench::Rescue.new(standing).call(number)
  end

  def test_in_danger_are_those_that_hold_less_than_they_should
    here = standing(shop, chain(1, operation(60, spread: 0.3), promise: 60), chain(2, 30, promise: 400))

    assert_equal [1], here.in_danger
  end

  # 60 minutes of something that nobody was promised are in the way of what is promised for minute 80.
  def test_what_nothing_is_promised_for_waits
    here = standing(shop, chain(1, operation(60, spread: 0.2)), chain(2, operation(50, spread: 0.2), promise: 80))
    found = ways(here, 2)

    assert_equal [[:wait, 1]], found.map { |way| [way.kind, way.other] }
    assert_operator found.first.share, :>, 0.9
  end

  # One machine in front has a promise too, which would not hold: its customer would have to be asked.
  def test_a_later_day_is_asked_of_whoever_has_a_promise
    here = standing(shop, chain(1, operation(60, spread: 0.2), promise: 80),
      chain(2, operation(50, spread: 0.2), promise: 80))
    found = ways(here, 2)

    assert_equal [[:later_day, 1]], found.map { |way| [way.kind, way.other] }
    assert_operator found.first.by, :>, 100
  end

  def test_new_parts_instead_of_a_wash
    here = standing(shop, chain(1, operation(20, dry_minutes: 1440, slots: [1]), 10, promise: 300))

    assert_equal [:new_instead], ways(here, 1).map(&:kind)
  end

  def test_on_a_full_rack_it_dries_elsewhere
    rack = [Bench::Slot.new(size: 1, busy_until: 600)]
    here = standing(shop(slots: rack), chain(1, operation(20, dry_minutes: 60, slots: [1]), 10, promise: 200))

    assert_equal %i[elsewhere new_instead], ways(here, 1).map(&:kind)
  end

  # It ends ten minutes before closing at best; an hour more and it is safe.
  def test_somebody_stays_on
    here = standing(shop, chain(1, operation(240, 230, spread: 0.2), promise: 599))

    assert_equal [[:stay_on, 1]], ways(here, 1).map { |way| [way.kind, way.technician] }
  end

  def test_nothing_helps_what_waits_for_a_part
    here = standing(shop, chain(1, operation(20, not_before: 3000), promise: 300))

    assert_empty ways(here, 1)
  end

  def test_effects_name_what_breaks_and_what_is_saved
    chains = [chain(1, operation(60, spread: 0.2), promise: 80), chain(2, operation(50, spread: 0.2), promise: 80)]
    before = standing(shop, *chains)
    effects = Bench::Effects.new(before, standing(shop, *chains, order: [1, 0]))

    assert_equal [[1], [2]], [effects.breaks, effects.saves].map { |all| all.map(&:number) }
    assert_operator effects.of(1).after, :<, 0.1
    assert_equal effects.of(1).by - before.by(1), effects.of(1).later
    assert_nil effects.of(7)
  end

  # The one that stands may have been read a moment sooner.
  def test_of_jobs_that_were_settled_meanwhile_nothing_is_said
    before = standing(shop, chain(1, 60, promise: 80))
    effects = Bench::Effects.new(before, standing(shop, chain(1, 60, promise: 80), chain(2, 50, promise: 20)))

    assert_equal [[], []], [effects.breaks, effects.saves]
  end

  def test_the_less_often_a_promise_must_be_kept_the_later_it_is_in_danger
    one = chain(1, operation(60, spread: 0.2), promise: 60)

    assert_equal [[1], []], [0.9, 0.5].map { |share| standing(shop, one.with(share: share)).in_danger }
  end

  def test_what_is_late_already_and_would_be_later_still_is_named
    late = chain(1, operation(60, spread: 0.2), promise: 10)
    before = standing(shop, late, chain(2, 50))
    effects = Bench::Effects.new(before, standing(shop, late, chain(2, 50), order: [1, 0]))

    assert_equal [1], effects.breaks.map(&:number)
    assert_operator effects.breaks.first.later, :>=, 50
  end
end
