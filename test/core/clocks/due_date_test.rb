# frozen_string_literal: true

require_relative "../../core_helper"

class DueDateTest < CoreTest
  def due(task, started_on: MONDAY, use: rate(1), traits: [], ratios: [], factors: Use::Household::FACTORS,
    **progress)
    Clocks::DueDate.new(task: task, progress: Clocks::Progress.new(started_on: started_on, **progress),
      conditions: Clocks::Conditions.new(use: use, household: Use::Household.new(traits: traits),
        today: MONDAY, factors: factors), own: Use::Personal.new(ratios: ratios))
  end

  # A belief whose mean is so many hours a week.
  def rate(hours_per_week)
    hours_per_week.zero? ? super : Use::Rate.new(hours: 8.0, weeks: 8.0 / hours_per_week)
  end

  # Bags come round faster in a dusty home, whatever is done with them; a maker's months do not.
  def test_the_household_acts_on_bags_and_washes_of_any_task
    bags = task(clock(:count, 4, of: "bags", each_months: 3))

    assert_equal [MONDAY + 273, MONDAY >> 12], [due(bags, traits: [:pets]), due(bags)].map { |due| due.call.due_on }
    assert_in_delta 1.3, due(task(clock(:hours, 50)), use: Use::Rate.new(hours: 126.0, weeks: 100.0)).call
      .reasons.first.figures[:rate]
  end

  # Calendar arithmetic by the Gregorian rules (ISO 8601): clamped at the month's end, leap years by 4, 100, 400.
  def test_months_clamp_at_the_end_of_the_month
    { [2027, 1, 31, 1] => [2027, 2, 28], [2028, 1, 31, 1] => [2028, 2, 29], [2028, 2, 29, 12] => [2029, 2, 28],
      [2099, 12, 31, 2] => [2100, 2, 28], [2399, 12, 31, 2] => [2400, 2, 29], [2026, 3, 15, 24] => [2028, 3, 15] }
      .each do |(y, m, d, n), then_on|
      assert_equal Date.new(*then_on), due(task(clock(:months, n)), started_on: Date.new(y, m, d)).call.due_on
    end
  end

  def test_nobody_is_told_to_replace_what_is_only_not_known
    assert_equal %w[inspect replace wash],
      [["replace", :unknown], %w[replace months], ["wash", :count]].map { |told| Clocks::Due.told(*told) }
  end

  # Common practice: a household cassette is good for 50 hours, an hour a week, a year.
  def test_fifty_hours_at_an_hour_a_week_is_about_a_year
    assert_equal MONDAY + 350, due(task(clock(:hours, 50))).call.due_on
  end

  # Common practice: two years or 2,000 hours, whichever first; 2,000 h at 40 h a week is 50 weeks.
  def test_whichever_first_names_the_deciding_clock
    both = task(clock(:hours, 2000), clock(:months, 24))

    assert_equal [:months, MONDAY >> 24], due(both, use: rate(2)).call.then { |d| [d.deciding, d.due_on] }
    assert_equal [:hours, MONDAY + 350], due(both, use: rate(40)).call.then { |d| [d.deciding, d.due_on] }
  end

  # The late bound is the earlier of the clocks' late bounds, and so is the early one: whichever comes first.
  def test_the_bounds_are_those_of_whichever_comes_first
    both = due(task(clock(:hours, 50), clock(:months, 11))).call

    assert_equal due(task(clock(:hours, 50))).call.early_on, both.early_on
    assert_equal MONDAY >> 11, both.late_on
  end

  # Common practice: the motor filter is changed every four bags; at 13 h a bag and an hour a week, a year.
  def test_every_four_bags
    bags = task(clock(:count, 4, of: "bags", each_hours: 13))

    assert_equal MONDAY + (52 * 7), due(bags).call.due_on
    assert_equal MONDAY + (13 * 7), due(bags, counted: { "bags" => 3 }, counted_on: MONDAY).call.due_on
    assert_equal MONDAY, due(bags, counted: { "bags" => 4 }, counted_on: MONDAY).call.due_on
    assert_equal [nil, 3], [due(bags), due(bags, counted: { "bags" => 3 }, counted_on: MONDAY)].map { |due|
      due.call.reasons.first.figures[:counted]
    }
  end

  # Washes of the filter are no bags, and bags no washes.
  def test_each_count_moves_by_its_own_events_alone
    clocks = { "bags" => clock(:count, 4, of: "bags", each_hours: 13),
               "washes" => clock(:count, 6, of: "washes", each_months: 2) }
    clocks.each do |own, clock|
      other = (clocks.keys - [own]).first
      1.upto(6) do |times|
        none, others, both, alone = [{}, { other => times }, { own => times, other => times }, { own => times }]
          .map { |counted| due(task(clock), counted: counted, counted_on: MONDAY + 30).call }

        assert_equal [none.due_on, none.reasons], [others.due_on, others.reasons]
        assert_equal [alone.due_on, alone.reasons], [both.due_on, both.reasons]
        refute_equal none.due_on, alone.due_on
      end
    end
  end

  # Of ten bags the customer changed nine at home: the one that the shop counted says nothing.
  def test_what_the_shop_counted_says_something_once_it_runs_ahead
    run = Clocks::Run.new(Clocks::Progress.new(started_on: MONDAY), rate(1))
    bags = clock(:count, 4, of: "bags", each_hours: 13)
    washes = clock(:count, 6, of: "washes", each_months: 2)

    assert_equal [true, true, false], [90, 91, 92].map { |days| bags.ahead?(1, run, MONDAY + days) }
    assert_equal [true, false], [MONDAY >> 4, (MONDAY >> 4) + 1].map { |day| washes.ahead?(2, run, day) }
    refute bags.ahead?(0, run, MONDAY)
  end

  def test_half_an_hour_of_use_is_still_to_come
    assert_equal MONDAY + 3, due(task(clock(:count, 1, of: "washes", each_hours: 0.5))).call.due_on
    bags = task(clock(:count, 4, of: "bags", each_hours: 1))

    assert_equal [MONDAY + 7, MONDAY], [1, 0].map { |left|
      due(bags, counted: { "bags" => 4 - left }, counted_on: MONDAY).call.due_on
    }
  end

  # Less than a thousandth of an hour a week: beyond a hundred years a clock does not run.
  def test_a_clock_of_a_hundred_years_does_not_run
    assert_equal MONDAY + 36_500, due(task(clock(:hours, 36_500)), use: rate(7)).call.due_on
    assert_nil due(task(clock(:hours, 36_501)), use: rate(7)).call.due_on
  end

  def test_a_household_without_traits_shortens_nothing_and_says_nothing
    plain, pets = [[], [:pets]].map { |traits| due(task(clock(:months, 12), action: :wash), traits: traits).call }

    assert_equal Reason.of(:after_months, months: 12, from_on: MONDAY, until_on: MONDAY >> 12), plain.reasons.first
    assert_equal({ household: 0.75, traits: [:pets] }, pets.reasons.first.figures.slice(:household, :traits))
  end

  def test_the_soonest_clock_is_said_first
    both = due(task(clock(:months, 24), clock(:months, 12))).call

    assert_equal [12, 24], both.reasons.map { |reason| reason.figures[:months] }
  end

  def test_what_a_clock_must_be
    [[:indicator, 101], [:hours, 0], [:hours, -1], [:months, 1.5]].each do |kind, limit|
      assert_raises(ArgumentError, kind) { clock(kind, limit) }
    end
    assert_equal 100, clock(:indicator, 100).limit
    assert_raises(ArgumentError) { clock(:count, 1, of: "bags") }
    assert_raises(ArgumentError) { clock(:count, 1, of: "belts", each_hours: 1) }
    assert_raises(ArgumentError) { clock(:years, 1) }
    assert_raises(ArgumentError) { task }
    assert_raises(ArgumentError) { task(clock(:hours, 1), action: :polish) }
    assert_raises(ArgumentError) { Clocks::Progress.new(started_on: MONDAY, counted: { "bags" => -1 }) }
    assert_raises(ArgumentError) { Clocks::Progress.new(started_on: MONDAY, indicator: 1) }
  end

  def test_what_one_action_does_for_another
    assert Clocks::Task.covers?(:replace, :clean)
    assert Clocks::Task.covers?(:wash, :inspect)
    refute Clocks::Task.covers?(:wash, :wash)
    refute Clocks::Task.covers?(:clean, :wash)
  end

  # Foam that is washed every 90 days (three months from New Year), found grey 2 of 5: 0.4 in steps of 0.2. By hand:
  # (1 - 0.4) × 90 = 54 days; the middle 80 % of 0.3 to 0.5 is 0.32 to 0.48.
  NEW_YEAR = Date.new(2026, 1, 1)

  def found(share, *clocks, step: 0, action: :wash, started_on: nil, **more)
    due(task(*clocks, action: action), started_on: started_on, load: share, load_step: step, load_on: NEW_YEAR, **more)
      .call
  end

  def days(answer)
    [answer.due_on, answer.early_on, answer.late_on].map { |day| (day - NEW_YEAR).to_i }
  end

  # What is known of the use alone leaves a range; how finely it was judged makes it no narrower.
  def test_a_coarse_judgement_widens_the_range
    fine, coarse = [0, 0.02].map { |step| days(found(0.4, clock(:hours, 50), step: step)) }

    assert_equal fine.first, coarse.first
    assert_operator coarse[1], :<=, fine[1]
    assert_operator coarse.last, :>=, fine.last
  end

  def test_what_was_found_says_when_it_is_due
    foam = found(0.4, clock(:months, 3), step: 0.2)

    assert_equal [54, 46, 61], days(foam)
    assert_equal [Reason.of(:after_months, months: 3, found: 40, found_on: NEW_YEAR, until_on: NEW_YEAR + 54)],
      foam.reasons
    assert_equal [54] * 3, days(found(0.4, clock(:months, 3))), "what was measured is certain"
    assert_equal 75, found(0.75, clock(:months, 3)).reasons.first.figures[:found]
  end

  def test_what_has_come_as_far_as_it_may_is_due_on_that_day
    assert_equal [0, 0, 0], days(found(1.0, clock(:months, 3)))
    assert_equal [0, 0, 0], days(found(1.5, clock(:hours, 50)))
  end

  def test_it_runs_from_what_was_found_by_use_too
    answer = found(0.5, clock(:hours, 50), action: :replace)
    soon, late = rate(1).weeks_until(25)

    assert_equal [175, (soon * 7).floor, (late * 7).floor], days(answer)
    assert_equal 1.0, answer.reasons.first.figures[:rate] # rubocop:disable Minitest/AssertInDelta
    assert_equal [131, 175], [found(0.5, clock(:hours, 50), action: :wash, traits: [:pets]),
                              found(0.5, clock(:count, 2, of: "bags", each_hours: 25), action: :replace)]
      .map { |due| days(due).first }
  end

  # The maker's months come whatever is seen; of wear and dirt the look-over knows better than the calendar.
  def test_a_fixed_clock_comes_whatever_is_seen
    fixed = clock(:months, 12, goes_by: :fixed)
    both = found(0.25, fixed, clock(:months, 24), action: :replace, started_on: NEW_YEAR - 400)

    assert_equal [(NEW_YEAR - 400) >> 12, [12, 24]],
      [both.due_on, both.reasons.map { |reason| reason.figures[:months] }]
    assert_equal both.due_on, found(0.25, fixed, action: :replace, started_on: NEW_YEAR - 400).due_on
    assert_operator found(0.25, clock(:months, 12), action: :replace, started_on: NEW_YEAR - 400).due_on, :>,
      NEW_YEAR + 200
  end

  # A date that nobody knows is never claimed to have passed.
  def test_a_fixed_limit_of_unknown_start_is_asked_about_and_looked_at_again
    answer = found(0.25, clock(:months, 12, goes_by: :fixed), action: :replace)

    assert_equal [:unknown, NEW_YEAR + 365, [:start_unknown]],
      [answer.deciding, answer.due_on, answer.reasons.map(&:key)]
    assert_equal :months, found(0.25, clock(:months, 12, goes_by: :fixed), clock(:months, 6), action: :replace).deciding
  end

  def test_more_gone_is_never_due_later
    for_all do |random|
      clocks = [clock(:months, random.rand(1..36)), clock(:hours, random.rand(1..500))].sample(random.rand(1..2),
        random: random)
      shares = Array.new(2) { random.rand(0.0..1.5) }.sort
      traits = any_traits(random)
      less, more = shares.map { |share| found(share, *clocks, step: 0.2, traits: traits) }

      assert_operator more.due_on, :<=, less.due_on
      assert_operator less.early_on, :<=, less.due_on
      assert_operator less.late_on, :>=, less.due_on
    end
  end

  # 50 h at seven tenths and eight tenths of an interval, an hour a week: 28 weeks are 196 days, whatever a float says.
  def test_whole_days_are_whole
    dusty = due(task(clock(:hours, 50), disposable: true), traits: %i[dust pets],
      factors: { dust: 0.7, pets: 0.8 }).call

    assert_equal MONDAY + 196, dusty.due_on
    assert_equal MONDAY + 70, due(task(clock(:hours, 10)), use: Use::Rate.new(hours: 0.3, weeks: 0.3)).call.due_on
  end

  # Daily use makes the months shorter; the hours count it already.
  def test_daily_use_shortens_the_calendar_alone
    wash = ->(*clocks) { due(task(*clocks, action: :wash), traits: %i[daily]).call }

    assert_equal MONDAY + 24, wash.call(clock(:months, 1)).due_on # 31 days × 0.8
    assert_equal MONDAY + 350, wash.call(clock(:hours, 50)).due_on
    assert_empty wash.call(clock(:hours, 50)).reasons.first.figures.slice(:household, :traits)
    assert_equal MONDAY + 91, wash.call(clock(:count, 1, of: "bags", each_hours: 13)).due_on
    assert_equal MONDAY + 24, wash.call(clock(:count, 1, of: "washes", each_months: 1)).due_on
  end

  def test_days_round_down
    assert_equal MONDAY + 23, due(task(clock(:hours, 10)), use: rate(3)).call.due_on # 23.3 days
  end

  def test_the_bounds_come_from_the_rate_and_the_hours_to_come
    answer = due(task(clock(:hours, 50))).call
    soon, late = rate(1).weeks_until(50)

    assert_equal [MONDAY + (soon * 7).floor, MONDAY + (late * 7).floor], [answer.early_on, answer.late_on]
    assert_operator answer.early_on, :<, MONDAY + (350 / rate(1).high).floor
  end

  def test_an_indicator_is_extrapolated_from_the_start
    strip = task(clock(:indicator, 100))

    assert_equal MONDAY + 300, due(strip, started_on: MONDAY, indicator: 40, indicator_on: MONDAY + 120).call.due_on
    assert_equal MONDAY + 333, due(strip, started_on: MONDAY, indicator: 30, indicator_on: MONDAY + 100).call.due_on
    assert_equal MONDAY + 90, due(strip, indicator: 100, indicator_on: MONDAY + 90).call.due_on
  end

  def test_household_shortens_a_wash_but_never_fixed_months
    assert_equal MONDAY + 23, due(task(clock(:months, 1), action: :wash), traits: [:pets]).call.due_on # 31 days × 0.75
    assert_equal MONDAY >> 12, due(task(clock(:months, 12)), traits: [:pets]).call.due_on
  end

  def test_what_an_indicator_says_is_not_shortened_by_the_household_nor_says_so
    read = due(task(clock(:indicator, 100), action: :wash), traits: [:pets], started_on: MONDAY - 100, indicator: 50,
      indicator_on: MONDAY).call

    assert_equal [MONDAY + 100, Reason.of(:at_full_indicator, percent: 50, read_on: MONDAY, from_on: MONDAY - 100,
      until_on: MONDAY + 100)], [read.due_on, *read.reasons]
  end

  # Ratios beyond two count as two, and (2 × 2)^(1/4) = 1.414; a filter found clean in two jobs lasts longer.
  def test_what_was_found_moves_what_goes_by_use_and_never_fixed_months
    assert_equal MONDAY + 247, due(task(clock(:hours, 50)), ratios: [4, 4]).call.due_on
    assert_equal MONDAY + 494, due(task(clock(:hours, 50)), ratios: [0.25, 0.25]).call.due_on
    assert_equal MONDAY + 21, due(task(clock(:months, 1), action: :wash), ratios: [4, 4]).call.due_on
    assert_equal MONDAY >> 12, due(task(clock(:months, 12)), ratios: [4, 4]).call.due_on
    assert_equal MONDAY + 300, due(task(clock(:indicator, 100)), indicator: 40, indicator_on: MONDAY + 120,
      ratios: [4, 4]).call.due_on
  end

  def test_the_reason_names_what_was_learned_and_the_answer_keeps_it
    answer = due(task(clock(:hours, 50)), ratios: [4, 4]).call

    assert_in_delta 1.414, answer.personal
    assert_equal({ personal: 1.41, gone: :further, jobs: 2 },
      answer.reasons.first.figures.slice(:personal, :gone, :jobs))
    assert_in_delta 1.0, due(task(clock(:hours, 50), clock(:months, 1)), ratios: [0.25, 0.25]).call.personal
  end

  # Two cases that differ in one thing at most. What changes no figure, such as the rate where all goes by the calendar,
  # changes no mark.
  def test_the_mark_of_the_reasons_is_another_one_when_a_figure_is
    alike = 0
    for_all(times: 300) do |random|
      job = short_task(random)
      given = any_case(random)
      one, same, other = [[job, given], [job, given], change(job, given, random)]
        .map { |task, home| due(task, **home).call }
      alike += 1 if one.reasons == other.reasons && one.why.mark == other.why.mark

      assert_equal one.why.mark, same.why.mark
      unless one.reasons == other.reasons
        refute_equal one.why.mark, other.why.mark, -> { [one.reasons, other.reasons].inspect }
      end
    end

    assert_includes 25..200, alike
  end

  def test_unknown_history_is_due_now
    answer = due(task(clock(:months, 12)), started_on: nil).call

    assert_equal [MONDAY, :unknown], [answer.due_on, answer.deciding]
  end

  def test_a_stored_machine_goes_by_the_calendar_alone
    assert_equal MONDAY >> 24, due(task(clock(:hours, 50), clock(:months, 24)), use: rate(0)).call.due_on
    assert_nil due(task(clock(:hours, 50)), use: rate(0)).call.due_on
  end

  def test_never_later_than_any_clock
    for_all do |random|
      job = any_task(random)
      home = { use: rate(random.rand(0.0..40.0)), traits: any_traits(random) }
      answer = due(job, **home).call

      job.clocks.filter_map { |clock| due(job.with(clocks: [clock]), **home).call.due_on }
        .each { |date| assert_operator answer.due_on, :<=, date }
      assert_operator answer.early_on, :<=, answer.due_on if answer.due_on
      assert_operator answer.late_on, :>=, answer.due_on if answer.late_on
    end
  end

  def test_a_factor_below_one_never_moves_it_later
    for_all do |random|
      job = any_task(random)
      use = rate(random.rand(0.1..40.0))

      assert_operator due(job, use: use, traits: any_traits(random)).call.due_on, :<=, due(job, use: use).call.due_on
    end
  end

  private

  def any_traits(random)
    Use::Household::FACTORS.keys.sample(random.rand(1..5), random: random)
  end

  # Its clocks run out so soon that another limit, rate or count often gives the same day.
  def short_task(random)
    clocks = [clock(:hours, random.rand(1..3)), clock(:months, 1),
              clock(:count, random.rand(1..5), of: "washes", each_months: 1), clock(:indicator, 100)]
    task(*clocks.sample(random.rand(1..4), random: random), action: %i[wash replace].sample(random: random))
  end

  def any_case(random)
    { use: rate(random.rand(0.5..40.0)), traits: any_traits(random),
      ratios: Array.new(random.rand(4)) { [1.4, 90].sample(random: random) }, started_on: MONDAY - random.rand(900),
      counted: { "washes" => random.rand(30), "bags" => random.rand(30) }, counted_on: MONDAY,
      indicator: random.rand(1..99), indicator_on: MONDAY }
  end

  # @return [Array(Clocks::Task, Hash)]
  def change(job, given, random)
    key, value = any_case(random).merge(limit: random.rand(1..5)).to_a.sample(random: random)
    return [job, given.merge(key => value)] unless key == :limit

    [job.with(clocks: [job.clocks.first.with(limit: value), *job.clocks.drop(1)]), given]
  end

  def any_task(random)
    clocks = [clock(:hours, random.rand(1..2000)), clock(:months, random.rand(1..36)),
              clock(:count, random.rand(1..20), of: "washes", each_months: 1),
              clock(:count, 4, of: "bags", each_hours: 10)]
    task(*clocks.sample(random.rand(1..4), random: random), action: %i[wash replace clean].sample(random: random))
  end
end
