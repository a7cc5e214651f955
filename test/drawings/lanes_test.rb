# frozen_string_literal: true

require_relative "../test_helper"

# The plan as lanes: days side by side, steps where their hours are, and what is written where it fits.
class LanesTest < AppTest
  MONDAY = Time.utc(2026, 3, 2)
  Step = Struct.new(:job, :key, :from, :till, keyword_init: true)
  Lane = Struct.new(:name, :steps, :away, keyword_init: true)
  Away = Struct.new(:from, :till, keyword_init: true)
  Wait = Struct.new(:job, :from, :till, :words, keyword_init: true)
  Flag = Struct.new(:job, :at, :danger, keyword_init: true)

  def at(hour, minute = 0, day: 0)
    MONDAY + (day * 86_400) + (hour * 3600) + (minute * 60)
  end

  def days
    [0, 1].map { |day| [[at(8, day: day), at(12, day: day)], [at(13, day: day), at(17, day: day)]] }
  end

  def scale
    Drawings::DayScale.new(days, from: 100, to: 1200)
  end

  def test_the_first_day_is_wider_and_nights_are_left_out
    (left, right), (following, last) = scale.edges

    assert_equal [100, 1200], [left, last]
    assert_in_delta 1.8, (right - left) / (last - following), 0.01
    assert_equal Drawings::DayScale::GAP, (following - right).round
    assert_in_delta left + ((right - left) / 9.0), scale.x(at(9)), 0.1
    assert_equal right, scale.x(at(22)), "a moment of the night stands where the day ends"
    assert_equal left, scale.x(at(3))
  end

  def test_what_is_in_sight
    assert scale.shows?(at(16), at(9, day: 1))
    refute scale.shows?(at(18), at(20))
    refute scale.within?(at(20))
    assert scale.within?(at(12, 30)), "at noon one is there"
    assert_equal 18, scale.hours.size
    assert_equal 2, scale.breaks.size
  end

  def drawing(steps: [], away: [], waits: [], promises: [], pinned: [], chosen: nil, now: at(10), **more)
    drawn = Drawings::Lanes::Drawn.new(lanes: [Lane.new(name: "Una", steps: steps, away: away)], waits: waits,
      promises: promises, customers: { 7 => "Ada Lindqvist" }, pinned: pinned, chosen: chosen)
    Drawings::Lanes.new(drawn, scale: scale, now: now, zone: ->(time) { time }, words: ->(step) { "step #{step.job}" },
      path: ->(step) { "/plan/#{step.job}/#{step.key}" }, **more).render
  end

  def step(minutes, key: :work)
    Step.new(job: 7, key: key, from: at(9), till: at(9) + (minutes * 60))
  end

  def test_a_step_is_a_link_with_its_number_and_whose_it_is_where_there_is_room
    wide, narrow, thin = [120, 10, 3].map { |minutes| drawing(steps: [step(minutes)]) }

    assert_includes wide, 'href="/plan/7/work"'
    assert_includes wide, ">Ada Lindqvist<"
    assert_includes narrow, "lane-across"
    refute_includes narrow, "Ada"
    refute_match(/lane-number/, thin)
    assert_includes thin, 'aria-label="step 7"'
  end

  def test_pinned_and_chosen_are_seen
    svg = drawing(steps: [step(60)], pinned: [[7, :work]], chosen: [7, :work])

    assert_includes svg, "lane-pin"
    assert_includes svg, "lane-chosen"
    refute_match(/lane-pin|lane-chosen/, drawing(steps: [step(60)]))
  end

  def test_promises_are_flags_one_below_the_other_where_they_would_touch
    flags = [Flag.new(job: 7, at: at(9), danger: false), Flag.new(job: 8, at: at(9, 5), danger: true)]
    svg = drawing(promises: flags)
    tops = svg.scan(/class="lane-promise[^"]*"/).size

    assert_equal 2, tops
    assert_includes svg, ">8!<"
    heights = [flags.first(1), flags].map { |some| drawing(promises: some)[/viewBox="0 0 \d+ ([\d.]+)"/, 1].to_f }

    assert_equal Drawings::Lanes::FLAG, (heights.last - heights.first).round
  end

  def test_who_is_away_what_waits_and_now
    svg = drawing(away: [Away.new(from: at(13), till: at(17))],
      waits: [Wait.new(job: 7, from: at(10), till: at(9, day: 1), words: "7 dries")])

    assert_includes svg, ">away<"
    assert_includes svg, ">7 dries<"
    assert_includes svg, 'class="now"'
    refute_includes drawing(now: at(20)), 'class="now"'
  end

  # Behind a bar that is too short, but for one at the end of the picture.
  def test_words_of_what_waits_have_room
    [[at(10), at(16), 4], [at(10), at(10, 10), 20],
     [at(16, 50, day: 1), at(17, day: 1), 4]].each do |from, till, indent|
      wait = Wait.new(job: 7, from: from, till: till, words: "7 dries, rack 4, 5")
      left, words = drawing(waits: [wait]).match(/<rect x="([\d.]+)"[^>]*class="waiting".*?<text x="([\d.]+)"/m)
        .captures.map(&:to_f)

      assert_in_delta indent, words - left, 12
      assert_equal indent > 4, words - left > 4.5
    end
  end

  def test_on_a_wall_lanes_grow_as_far_as_they_may
    low, high, most = [0, 200, 5000].map do |height|
      drawing(least_height: height)[/viewBox="0 0 \d+ ([\d.]+)"/, 1].to_f
    end

    assert_operator low, :<, high
    assert_in_delta 200, high, 8
    assert_equal Drawings::Lanes::MOST_LANE - Drawings::Lanes::LANE, (most - low).round
  end

  def test_how_full_a_day_is
    day = Core::Bench::Day.new(date: Date.new(2026, 3, 2), hands_minutes: 1000, planned_minutes: 500, booked: 2,
      usual_minutes: 100)
    bar = Drawings::DayBar.new(day, label: "seven tenths").render

    assert_includes bar, 'width="110.0"'
    assert_includes bar, 'width="44.0"'
    assert_includes Drawings::DayBar.new(day.with(hands_minutes: 0), label: "x").render, 'width="0.0"'
  end

  def test_the_air_of_the_room
    readings = (0..72).map do |hour|
      [at(hour), Core::Drying::Air.new(temperature_c: 20 + (hour % 3), humidity_percent: 50 + (hour % 7))]
    end
    svg = Drawings::RoomHistory.new(readings, from: at(0), till: at(72), days: [[at(24), "Tuesday"]]).render

    assert_includes svg, "Drying room: 20 to 22 °C, 50 to 56 % humidity"
    assert_includes svg, ">Tuesday<"
  end
end
