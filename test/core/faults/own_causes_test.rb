# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

# What a sheet says of its own faults, and its lights.
class OwnCausesTest < CoreTest
  include UprightBench::Core

  DATA = JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/maristo-reed.json"))).freeze

  def sheet(**places)
    changed = DATA["positions"].map { |row| row.merge(places.fetch(row["key"].tr("-", "_").to_sym, {})) }
    Sheets::Parse.new(DATA.merge("positions" => changed)).call
  end

  def filter
    @filter ||= Sheets::Parse.new(DATA).call.positions.find { |place| place.kind == :filter }.key
  end

  def with_filter(**rows)
    sheet(filter.tr("-", "_").to_sym => rows.transform_keys(&:to_s))
  end

  def share(percent, fault = "full", complaint = "pulses")
    { "complaint" => complaint, "fault" => fault, "percent" => percent }
  end

  def test_the_sheets_share_stands_and_the_others_share_what_is_left
    plain = Faults::PlanSearch.new(sheet, :pulses).call
    own = Faults::PlanSearch.new(with_filter(shares: [share(30)]), :pulses).call
    weight = ->(search, key) { search.cause_of(key).weight }
    others = plain.causes.map(&:key) - ["#{filter}:full"]

    assert_in_delta 0.3, weight.call(own, "#{filter}:full"), 1e-9
    assert_in_delta 0.95, own.causes.sum(&:weight), 1e-9
    ratios = others.map { |key| weight.call(own, key) / weight.call(plain, key) }

    assert_in_delta ratios.min, ratios.max, 1e-9, "beside each other as before"
    assert_in_delta weight.call(plain, "#{filter}:full"),
      weight.call(Faults::PlanSearch.new(with_filter(shares: [share(30, "full", "noise")]), :pulses).call,
        "#{filter}:full"), 1e-9, "of another complaint"
  end

  def test_a_fault_that_the_table_lacks
    refute_includes Faults::PlanSearch.new(sheet, :hard_to_push).call.causes.map(&:key), "#{filter}:torn"
    own = Faults::PlanSearch.new(with_filter(shares: [share(10, "torn", "hard_to_push")]), :hard_to_push).call

    assert_in_delta 0.1, own.cause_of("#{filter}:torn").weight, 1e-9
    assert own.check_of(filter).shows.key?("#{filter}:torn"), "and a look at the place shows it"
  end

  def test_shares_may_come_to_as_much_as_may_be
    assert_equal [95], with_filter(shares: [share(95)]).position(filter).shares.map(&:percent)
    assert_equal [55, 40], with_filter(shares: [share(55), share(40, "damp")]).position(filter).shares.map(&:percent)
  end

  def test_what_shares_and_lights_may_not_say
    { [share(96)] => /from 1 to 95/, [share(50), share(50)] => /twice/, [share(5, "worn")] => /no fault of a filter/,
      [share(5, "full", "sings")] => /no complaint sings/, [share(60), share(40, "damp")] => /95 at most/ }
      .each do |shares, words|
        error = assert_raises(Sheets::Invalid) { with_filter(shares: shares) }

        assert_match words, error.problems.join("; ")
      end
    { { "way" => "sings" } => /steady or blinks/, { "count" => 3 } => /blinks is counted/,
      { "color" => " " } => /words/, { "fault" => "gone" } => /no fault/ }.each do |wrong, words|
      light = { "color" => "red", "way" => "steady", "fault" => "full" }.merge(wrong)
      error = assert_raises(Sheets::Invalid) { with_filter(lights: [light]) }

      assert_match words, error.problems.join("; ")
    end
  end

  def test_a_light_blinks_once_to_twenty_times
    light = { color: "red", way: "blinks", fault: "full" }

    [1, 20].each { |count| assert_equal count, Sheets::Light.new(**light, count: count).count }
    assert_equal ["red, blinks 1 time", "red, blinks 2 times"],
      [1, 2].map { |count| Sheets::Light.new(**light, count: count).words }
    [nil, " ", 5].each { |color| assert_raises(ArgumentError) { Sheets::Light.new(**light, color: color) } }
    [0, 21, 2.5].each { |count| assert_raises(ArgumentError) { Sheets::Light.new(**light, count: count) } }
  end

  def lit
    with_filter(lights: [{ "color" => "red", "way" => "blinks", "count" => 3, "fault" => "full" },
                         { "color" => "amber", "way" => "steady", "means" => "not seated", "fault" => "loose" }])
  end

  # A code makes a suspicion: nobody has looked at the filter yet.
  def test_lights_are_one_check_that_suspects
    search = Faults::PlanSearch.new(lit, :pulses).call
    lights = search.check_of("lights")

    assert_equal ["red, blinks 3 times", "amber, steady: not seated"], lights.codes.values
    refute_operator lights, :proves?
    before = Faults::Ladder.new(search, [["lights", :cannot_tell]])
    ladder = Faults::Ladder.new(search, [["lights", :found]], named: { "lights" => "#{filter}:loose" })

    assert_nil ladder.found
    assert_operator ladder.belief["#{filter}:loose"], :>, before.belief["#{filter}:loose"] * 5
    assert_equal filter, ladder.next_step.check.place, "and that is looked at next"
    assert_operator ladder.none, :>, 0
    refute(Faults::PlanSearch.new(sheet, :pulses).call.checks.any? { |check| check.key == "lights" })
  end

  # A light may tell of what nobody thinks of with that complaint.
  def test_what_only_a_light_tells_of
    search = Faults::PlanSearch.new(lit, :hard_to_push).call

    assert_in_delta 0.01, search.cause_of("#{filter}:full").weight, 1e-9
    assert_in_delta 0.95, search.causes.sum(&:weight), 1e-9
    refute_includes Faults::PlanSearch.new(lit, :lid_or_bin_stiff).call.checks.map(&:key), "lights"
  end

  def test_a_motors_light_may_tell_that_it_was_cut_out
    hot = sheet(motor: { "lights" => [{ "color" => "red", "way" => "steady", "fault" => "cut_out" }] })
    search = Faults::PlanSearch.new(hot, :noise).call

    assert_nil search.cause_of("setting:cut_out").place
    assert_equal ["setting:cut_out"], search.check_of("lights").shows.keys
  end

  # Where the handbook forbids it, nobody is told to run it without its filter.
  def test_running_without_its_filter
    keys = lambda { |allowed|
      Faults::PlanSearch.new(sheet.with(runs_without_filter: allowed), :no_suction).call.checks.map(&:key)
    }

    assert_includes keys.call(nil), "try:inlet"
    refute_includes keys.call(nil), "without:#{filter}"
    refute_includes keys.call(false), "try:inlet"
    assert_includes keys.call(true), "without:#{filter}"
  end

  def test_another_battery_shows_a_weak_one_sooner_than_the_clock
    search = Faults::PlanSearch.new(sheet, :short_run_time).call
    swap = search.checks.find { |check| check.key.start_with?("swap:") }

    assert_equal({ "#{swap.place}:weak" => 0.95 }, swap.shows)
    assert_operator swap, :proves?
  end

  # A filter that is missing or torn lets dust into the motor; a stuck roll eats its belt (common practice).
  def test_what_may_be_behind_a_fault
    places = Faults::Origins.new(sheet)
    worn = Faults::Cause.at(sheet.position("motor"), Faults::Possible.fetch(:motor, :worn), 0.1)
    clogged = Faults::Cause.at(sheet.position(filter), Faults::Possible.fetch(:filter, :full), 0.1)

    assert_includes places.of(worn).map(&:key), "#{filter}:loose"
    refute_includes places.of(clogged).map(&:place), filter, "never itself"
    assert_empty places.of(Faults::Cause.setting(:pile, 0.1))
  end
end
