# frozen_string_literal: true

require_relative "plan_helper"

class BenchPlacingTest < CoreTest
  include PlanHelper

  def test_small_parts_go_into_large_slots_and_not_the_other_way
    assert Bench::Slot.enough?([1, 2], [1, 1])
    assert Bench::Slot.enough?([3, 1], [2])
    refute Bench::Slot.enough?([1, 1], [2])
    refute Bench::Slot.enough?([1, 3], [3, 2])
    refute Bench::Slot.enough?([], [1])
  end

  def test_hands_are_free_while_something_dries
    schedule = placed(problem(shop, chain(1, operation(30, dry_minutes: 120), 15), chain(2, 60)))

    assert_equal [0, 150, 30], schedule.starts
    assert_equal [165, 90], schedule.readies
  end

  def test_an_idle_hour_before_the_end_of_a_wait_is_filled
    schedule = placed(problem(shop, chain(1, operation(30, dry_minutes: 60), 15), chain(2, 70), chain(3, 50)))

    assert_equal [105, 175, 80], schedule.readies
  end

  def test_work_is_not_split_over_closing_unless_it_may_be
    one, several = [[50], [20, 30]].map do |pieces|
      placed(problem(shop, chain(1, 220), chain(2, operation(*pieces))))
    end

    assert_equal [270, 320], [one.starts[1], one.ends[1]]
    assert_equal [[[220, 240], [270, 300]], 300], [several.parts[1], several.ends[1]]
  end

  def test_it_is_not_split_for_other_work
    schedule = placed(problem(shop, chain(1, operation(30, not_before: 40)), chain(2, operation(20, 30))))

    assert_equal [70, 120], [schedule.starts[1], schedule.ends[1]]
  end

  def test_what_is_longer_than_a_stretch_is_done_in_parts
    assert_equal [[[0, 240], [270, 330]]], placed(problem(shop, chain(1, 300))).parts
  end

  def test_whoever_is_free_first_does_it_if_they_may
    able = Bench::Technician.new(id: 7, calendar: calendar, skills: [:motor])
    both = shop(people: 1).then { |one| one.with(technicians: [*one.technicians, able]) }
    schedule = placed(problem(both, chain(1, 40), chain(2, operation(30, skill: :motor)), chain(3, 20)))

    assert_equal [[0, 1, 1], [0, 0, 30]], [schedule.people, schedule.starts]
  end

  def test_nobody_tests_their_own_work_where_the_shop_wants_it_so
    schedule = placed(problem(shop(people: 2), chain(1, 40, operation(10, other_hands: true))))

    assert_equal [0, 1], schedule.people
    assert_equal [0, 0], placed(problem(shop, chain(1, 40, operation(10, other_hands: true)))).people
  end

  def test_what_nobody_may_do_is_said
    error = assert_raises(Bench::Impossible) { problem(shop, chain(9, operation(5, skill: :motor))) }

    assert_equal 9, error.number
  end

  def test_a_wash_waits_for_a_slot_that_is_large_enough
    rack = [Bench::Slot.new(size: 1), Bench::Slot.new(size: 2, busy_until: 100)]
    large, small = [2, 1].map { |size| operation(20, dry_minutes: 60, slots: [size]) }
    schedule = placed(problem(shop(slots: rack), chain(1, large, 5), chain(2, small, 5), chain(3, large, 5)))

    assert_equal [100, 20, 160], [0, 2, 4].map { |step| schedule.ends[step] }
    assert_equal [:rack, nil, :rack], schedule.waits_for.values_at(0, 2, 4)
    assert_raises(Bench::NoSlot) { placed(problem(shop(slots: rack), chain(1, large.with(slots: [3]), 5))) }
  end

  def test_all_parts_of_a_wash_have_a_slot_at_once
    rack = [Bench::Slot.new(size: 1, busy_until: 90), Bench::Slot.new(size: 2), Bench::Slot.new(size: 2)]
    ends = ->(*sizes) { placed(problem(shop(slots: rack), chain(1, operation(20, slots: sizes)))).ends.first }

    assert_equal [20, 20, 90], [ends.call(2), ends.call(1, 2), ends.call(1, 1, 2)]
    assert_raises(Bench::NoSlot) { ends.call(2, 2, 2) }
  end

  def test_one_seat_for_two_people
    work = operation(30, place: :seat)
    ends = ->(**places) { placed(problem(shop(people: 2, places: places), chain(1, work), chain(2, work))).ends }

    assert_equal [[30, 60], [30, 30]], [ends.call(seat: 1), ends.call]
  end

  # The second one washes when the first is done washing, and may do the rest before.
  def test_one_wet_bench_for_two_people
    wash = operation(30, wet_minutes: 10, place: :seat)
    schedule = placed(problem(shop(people: 2, places: { wet_bench: 1 }), chain(1, wash), chain(2, wash)))

    assert_equal [[0, 10], [nil, :wet_bench]], [schedule.starts, schedule.waits_for]
    one_seat = problem(shop(people: 2, places: { wet_bench: 1, seat: 1 }), chain(1, wash), chain(2, wash))

    assert_equal [[0, 30], :seat], [placed(one_seat).starts, placed(one_seat).waits_for.last]
  end

  # Whatever the order, what comes out can be carried out.
  def test_every_plan_can_be_carried_out
    for_all(times: 60) do |random|
      rack = Array.new(random.rand(1..3)) { Bench::Slot.new(size: 1) }
      chains = (1..7).map { |number| random_chain(random, number) }
      everything = problem(shop(people: random.rand(1..3), slots: rack), *chains)
      order = everything.steps.sort_by { |step| [step.before ? 1 : 0, random.rand] }.map(&:index)
      schedule = placed(everything, order)

      assert_empty overlaps(schedule)
      assert_empty outside(schedule)
      assert_empty too_early(schedule)
      assert_operator most_on_rack(schedule), :<=, rack.size
    end
  end

  private

  def overlaps(schedule)
    busy = schedule.people.zip(schedule.parts).group_by(&:first).transform_values { |rows| rows.flat_map(&:last).sort }
    busy.values.flat_map { |parts| parts.each_cons(2).select { |before, after| after.first < before.last } }
  end

  def outside(schedule)
    schedule.parts.flatten(1).reject { |from, till| open_days.any? { |opens, closes| from >= opens && till <= closes } }
  end

  def too_early(schedule)
    schedule.problem.steps.select do |step|
      start = schedule.starts[step.index]
      start < step.not_before || (step.before && start < schedule.ends[step.before] + step.dry)
    end
  end

  def most_on_rack(schedule)
    stays = schedule.problem.steps.select { |step| step.operation.slots.any? }.map do |step|
      washed = schedule.ends[step.index]
      [washed, calendar.open_from(washed + step.operation.dry_minutes)]
    end
    stays.map { |from, _| stays.count { |other, till| other <= from && from < till } }.max || 0
  end
end
