# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

# The air of machines with hidden faults, and where a gauge may be held at them.
class HiddenAirTest < CoreTest
  include UprightBench::Core::Suction

  SHEET = Sheets::Parse.new(JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/hallmoor-dart-m.json")))).call

  def cause(place, fault)
    position = SHEET.position(place)
    Faults::Cause.at(position, Faults::Possible.fetch(position.kind, fault), 0.1)
  end

  def shown(causes, point, kind, seed: 3, **more)
    random = Random.new(seed)
    Hidden.new(SHEET, causes, -> { random.rand }).shows(point, kind, -> { 0.5 }, **more)
  end

  def in_order
    @in_order ||= Expected.of(SHEET)
  end

  # What obstructs takes flow, what gapes takes suction, what tires takes both; a setting takes nothing.
  def test_each_kind_of_fault_where_it_shows
    for_all(times: 30) do |random|
      seed = random.rand(1000)
      read = ->(causes, kind) { shown(causes, "head", kind, seed: seed) }

      assert_operator read.call([cause("pre-filter", :full)], :flow), :<, 0.95 * in_order.flow("head")
      assert_in_delta in_order.sealed("head"), read.call([cause("pre-filter", :full)], :sealed), 0.01
      assert_operator read.call([cause("bin-seal", :torn)], :sealed), :<, 0.95 * in_order.sealed("head")
      assert_operator read.call([cause("motor", :worn)], :sealed), :<, 0.85 * in_order.sealed("head")
      assert_in_delta in_order.flow("head"), read.call([Faults::Cause.setting(:pile, 0.1)], :flow), 0.01
    end
  end

  # Outright blocked is worse than partly, and two faults are worse than one.
  def test_how_much
    partly, blocked = %i[partly blocked].map { |fault| shown([cause("wand", fault)], "head", :flow) }
    both = shown([cause("wand", :blocked), cause("pre-filter", :full)], "head", :flow)

    assert_operator blocked, :<, partly
    assert_operator both, :<, blocked
    assert_in_delta in_order.flow("bin"), shown([cause("wand", :blocked)], "bin", :flow), 0.01, "it is off"
  end

  def test_the_hand_trembles_by_a_hundredth_at_most
    hidden = Hidden.new(SHEET, [], -> { 0.5 })
    low, high = [0.0, 1.0].map { |chance| hidden.shows("head", :sealed, -> { chance }) }

    assert_in_delta 17.82, low, 0.001
    assert_in_delta 18.18, high, 0.001
  end

  # A gauge is held at each station up to the motor; what comes off before takes its minutes.
  def test_where_and_how_long
    assert_equal %w[head wand bin cyclone pre motor], Expected.points(SHEET)
    assert_equal [2.0, 2.5, 2.75], [Expected.minutes_at(SHEET, "head"), Expected.minutes_at(SHEET, "bin"),
                                    Expected.minutes_at(SHEET, "bin", exhaust_off: true)]
    assert_in_delta 2.0, Expected.minutes_at(SHEET, "gone"), 1e-9, "a sheet that was changed since"
  end

  # With the first two readings of a machine whose exhaust is blocked, taking it off is worth asking for.
  def test_the_exhaust_is_asked_for
    behind = in_order.behind.first.key
    blocked = in_order.broken(:blocked, behind, 6.0)
    taken = %i[sealed flow].map do |kind|
      Reading.new(point: "head", kind: kind, value: Reading.expected(blocked, "head", kind))
    end
    weights = { [:blocked, behind] => 0.6, [:blocked, "pre"] => 0.3, [:nothing, nil] => 0.1 }
    asked = Locate.new(in_order, taken, spread_percent: 4, weights: weights).next_reading

    assert asked.exhaust_off
    off = Reading.new(point: "head", kind: :flow, exhaust_off: true,
      value: Reading.expected(blocked, "head", :flow, exhaust_off: true))

    found = Locate.new(in_order, taken + [off], spread_percent: 4, weights: weights)

    assert_equal [[:blocked, behind]], found.named.keys
  end
end
