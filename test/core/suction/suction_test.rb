# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

class SuctionTest < CoreTest
  include UprightBench::Core::Suction

  def stage(key, resistance, leak: 0.0)
    UprightBench::Core::Suction::Machine::Stage.new(key: key, k: resistance, laminar: 0.0, leak: leak).freeze
  end

  def example(**more)
    Suction::Machine.new(sealed_kpa: 22.0, free_l_s: 45.0, stages: [stage("hose", 0.0052), stage("inlet", 0.002)],
**more)
  end

  # By hand: 22 (1 − Q/45) = 0.0072 Q² has the root 30.92.
  def test_the_worked_example
    assert_in_delta 30.92, example.flow("hose"), 0.01
    assert_in_delta 22.0, example.sealed("hose"), 1e-6
    assert_in_delta 17.6, example(fan: 0.8).sealed("hose"), 1e-6
    assert_in_delta 29.25, example(fan: 0.8).flow("hose"), 0.01
    assert_in_delta 20.8, example.with_stage("hose", k: 0.02015).flow("hose"), 0.02
  end

  # Solved at once where nothing leaks, and by steps where something does, it is the same.
  def test_tight_and_as_good_as_tight
    for_all(times: 60) do |random|
      machine = example.with_stage("inlet", k: random.rand).with(fan: 0.4 + (random.rand * 0.6))
      hardly = machine.with_stage("hose", leak: 1e-9)

      assert_in_delta machine.flow("hose"), hardly.flow("hose"), 1e-4
      assert_in_delta machine.sealed("hose"), hardly.sealed("hose"), 1e-4
      assert_in_delta machine.behind_plate("inlet", 0.01), hardly.behind_plate("inlet", 0.01), 1e-4
    end
  end

  # A leak shows in the sealed suction; a blockage shows in the flow alone.
  def test_what_shows_where
    leaking = example.with_stage("hose", leak: 2.0)
    blocked = example.with_stage("hose", k: 0.02)

    assert_operator leaking.sealed("hose"), :<, 20
    assert_in_delta 22.0, blocked.sealed("hose"), 1e-6
    assert_operator blocked.flow("hose"), :<, 22
    assert_in_delta example.flow("inlet"), blocked.flow("inlet"), 1e-6, "upstream of the gauge it is off"
    assert_in_delta example.sealed("inlet"), leaking.sealed("inlet"), 1e-6
  end

  def test_more_of_anything_is_less_air
    for_all(times: 60) do |random|
      machine = example.with_stage("inlet", k: random.rand * 0.05, leak: random.rand)
      worse = machine.with_stage("hose", k: 0.001 + (random.rand * 0.05))

      assert_operator worse.flow("hose"), :<, machine.flow("hose")
      assert_operator machine.with(fan: 0.9).sealed("hose"), :<, machine.sealed("hose")
      profile = machine.profile.map(&:last)

      assert_equal profile.sort, profile
    end
  end

  # The inch of water of ASTM F558 and the millimetre of mercury (SI brochure, table 8); 1 CFM is 0.471947 L/s.
  def test_units
    { "80 inH2O" => 19.893, "100 mmHg" => 13.332, "150 mbar" => 15.0, "-12,3 kPa" => 12.3, "9" => 9.0 }
      .each { |text, kpa| assert_in_delta kpa, Gauges::Quantities::Pressure.parse(text), 0.001, text }
    { "100 CFM" => 47.1947, "108 m³/h" => 30.0, "30" => 30.0 }
      .each { |text, flow| assert_in_delta flow, Gauges::Quantities::Flow.parse(text), 0.001, text }
    ["", "much", "12 feet", "99 kPa", "12 CFM"].each { |text| assert_nil Gauges::Quantities::Pressure.parse(text), text }
  end

  # ASTM F558 (constants from memory): Q = 21.844 · D² · K · √h. A plate of one inch with K = 0.6 at 64 inH₂O lets
  # through 21.844 · 0.6 · 8 = 104.9 CFM; without K it would be 1.6 times as much.
  def test_flow_through_a_plate
    flow = Orifice.flow(64 * 0.24866, 25.4)

    assert_in_delta 104.85, flow / Orifice::CFM_L_S, 0.05
    assert_in_delta flow / 0.6, Orifice.flow(64 * 0.24866, 25.4, coefficient: 1.0), 1e-6
    assert_in_delta 64 * 0.24866, Orifice.resistance(25.4) * (flow**2), 1e-9
  end

  # 0.117354 · CFM · inH₂O watts: 100 CFM at 50 inH₂O are 586.8 W.
  def test_air_power
    assert_in_delta 586.8, Orifice.power(50 * 0.24866, 100 * Orifice::CFM_L_S), 0.5
  end

  # On a straight fan the most power is at half the flow: a quarter of both ends' product.
  def test_most_power_of_a_series
    line = [0, 10, 20, 30, 40].map { |flow| [flow, 22.0 * (1 - (flow / 45.0))] }
    watts, flow = Orifice.most_power(line)

    assert_in_delta 22.0 * 45 / 4, watts, 0.1
    assert_in_delta 22.5, flow, 0.05
  end

  # Behind plates of three holes, on the straight fan of the example alone: again a quarter of both ends' product.
  def test_most_power_from_plates
    fan = Suction::Machine.new(sealed_kpa: 22.0, free_l_s: 45.0, stages: [stage("inlet", 0.0)])
    taken = [16.0, 22.0, 32.0].map do |hole|
      Reading.new(point: "inlet", kind: :plate, plate_mm: hole,
        value: Reading.expected(fan, "inlet", :plate, hole))
    end

    assert_in_delta 22.0 * 45 / 4, Orifice.most_power_of(taken).first, 0.5
    assert_nil Orifice.most_power_of(taken.first(2))
  end

  def readings(sealed, flow, at = "hose")
    [Reading.new(point: at, kind: :sealed, value: sealed), Reading.new(point: at, kind: :flow, value: flow)]
  end

  # Sealed suction as it should be, flow a third down: something resists; where, a flow at the inlet says.
  def test_which_reading_would_tell
    locate = Locate.new(example, readings(22.0, 20.8))

    assert_equal %i[blocked blocked], locate.call.first(2).map(&:kind)
    assert_nil locate.named
    asked = locate.next_reading

    assert_equal ["inlet", :flow], [asked.point, asked.kind]
    free = Reading.new(point: "inlet", kind: :flow, value: example.flow("inlet"))

    assert_equal [:blocked, "hose"], Locate.new(example, readings(22.0, 20.8) << free).named.to_a.first(2)
    low = Reading.new(point: "inlet", kind: :flow, value: example.with_stage("inlet", k: 0.02).flow("inlet"))

    assert_equal [:blocked, "inlet"], Locate.new(example, readings(22.0, 20.8) << low).named.to_a.first(2)
  end

  def test_a_tired_fan_and_nothing_at_all
    assert_equal :fan, Locate.new(example, readings(17.6, 29.2)).call.first.kind
    assert_equal :nothing, Locate.new(example, readings(22.0, 30.9)).call.first.kind
  end

  # A sock in the hose: hardly any flow, and good suction. Whatever is in the way, it is no single filter's doing more
  # than another's; machines of a model differ by some percent, which is no fault.
  def test_nearly_shut_and_not_quite_as_rated
    loft = sheet("brackwater-loft-k")
    machine = Expected.of(loft)
    taken = readings(machine.sealed_kpa * 0.95, 3.0, "tool")
    found = Locate.new(machine, taken, spread_percent: Expected.new(loft).spread_percent).call

    assert_equal %i[blocked], found.first(4).map(&:kind).uniq
    assert_operator found.first.share, :<, 0.5, "one reading of flow does not say where"
  end

  def test_before_and_after
    before, after = [20.8, 30.0].map { |flow| Reading.new(point: "hose", kind: :flow, value: flow) }
    alone = Reading.new(point: "inlet", kind: :flow, value: 33.0)
    gain, other = Gain.of([[before, false], [alone, false], [after, true]], example)

    assert_equal [20.8, 30.0], [gain.before, gain.after]
    assert_in_delta 30.0 / 30.92, gain.restored, 0.001
    assert_nil other, "what was read only before the work says nothing of it"
    assert_nil Gain.of([[after, true]], example).first.before
  end

  # Dry air of 20 °C at sea level is 1.204 kg/m³, and damp air is lighter: 1.199 at 50 % (CIPM-2007, from memory). At
  # 1,000 m (89.9 kPa, International Standard Atmosphere) a fan shows about a ninth less.
  def test_what_air_weighs
    assert_in_delta 1.2041, AirDensity.kg_m3(humidity_percent: 0), 0.0005
    assert_in_delta 1.1992, AirDensity.kg_m3, 0.0005
    high = AirDensity.kg_m3(kpa: 89.9)

    assert_in_delta 20.0, AirDensity.standard(20.0 * high / AirDensity::STANDARD, :pressure, high), 1e-9
    assert_in_delta 0.886, high / AirDensity.kg_m3, 0.002
    assert_equal [20.0, 30.0], [AirDensity.standard(20.0, :pressure, nil), AirDensity.standard(30.0, :flow, high)]
  end

  # What the machine did itself comes before its sheet, and its sheet before its kind.
  def test_what_is_expected_of_a_machine
    own = Expected.new(dart, own: { sealed: 17.0, flow: 19.0 })

    assert_in_delta 17.0, own.call.sealed("head"), 0.01
    assert_in_delta 19.0, own.call.flow("head"), 0.05
    assert_equal %i[own rated usual], [own, Expected.new(dart, own: { flow: 19.0 }),
                                       Expected.new(dart.with(rated: {}))].map(&:known_by)
    assert_operator own.spread_percent, :<, Expected.new(dart).spread_percent
    bent = Expected.of(dart.with(rated: dart.rated.merge("fan_exponent" => 1.8)))

    assert_in_delta 20.0, bent.flow("head"), 0.05
    assert_operator bent.given(10.0), :>, Expected.of(dart).given(10.0)
  end

  # With the exhaust off, what is blocked behind the fan takes nothing.
  def test_behind_the_fan
    machine = Expected.of(dart)
    blocked = machine.with_stage(machine.behind.first.key, k: 5 * machine.resistance)
    whole, off = [false, true].map { |without| Reading.expected(blocked, "head", :flow, exhaust_off: without) }

    assert_operator whole, :<, 0.7 * machine.flow("head")
    assert_in_delta machine.without_exhaust.flow("head"), off, 1e-6
  end

  # A machine that pulls a twentieth less than its sheet everywhere is in order; one that does so at one point is not.
  def test_a_factor_that_all_readings_share
    keys = dart_machine.stages.map(&:key)
    lower = lambda { |points|
      keys.map do |key|
        share = points.include?(key) ? 0.94 : 1.0
        Reading.new(point: key, kind: :sealed, value: share * dart_machine.sealed(key), error_percent: 1.0)
      end
    }

    assert_operator Fit.new(lower.call(keys), 4).misfit(dart_machine), :<, 4
    assert_operator Fit.new(lower.call(keys.first(3)), 4).misfit(dart_machine), :>, 25
    assert_in_delta 36, Fit.new(lower.call(keys.first(1)).first(1), 0).misfit(dart_machine) * 2, 3, "by hand: (6 / √2)²"
  end

  def dart_machine
    @dart_machine ||= Expected.of(dart)
  end

  # What else is known of the machine counts beside what the gauge shows.
  def test_weighed_by_what_else_is_known
    machine = Expected.of(dart)
    search = UprightBench::Core::Faults::PlanSearch.new(dart, :weak_everywhere).call
    weights = AirOfFault.new(dart).weights(search.causes, UprightBench::Core::Faults::Belief.of(search).to_h)
    low = readings(machine.sealed_kpa, 0.5 * machine.flow("head"), "head")
    found = Locate.new(machine, low, weights: weights).call.first

    assert_in_delta 1.0, weights.each_value.sum
    assert_equal [:blocked, "pre"], [found.kind, found.stage]
    assert_operator found.share, :>, Locate.new(machine, low).call.find { |one| one.stage == found.stage }.share
  end

  def dart
    @dart ||= sheet("hallmoor-dart-m")
  end

  def sheet(name)
    UprightBench::Core::Sheets::Parse.new(JSON.parse(File.read(File.expand_path(
      "../../../demo/sheets/#{name}.json", __dir__
    )))).call
  end

  # What the sheet says of a new machine is what is expected of one in order, at every demo sheet and starter.
  def test_expected_by_the_sheet
    Dir[File.expand_path("../../../{demo/sheets,starters}/*.json", __dir__)].each do |file|
      data = JSON.parse(File.read(file))
      sheet = UprightBench::Core::Sheets::Parse.new(data["sheet"] || data).call
      machine = Expected.of(sheet)
      suction, flow = sheet.rated.values_at("suction_kpa", "flow_l_s")

      assert_in_delta flow, machine.flow(machine.stages.first.key), 0.05, file if flow
      assert_in_delta suction, machine.sealed(machine.stages.first.key), 0.01, file if suction
    end
  end

  # A blockage at the neck makes what is at the head likelier, and the motor less.
  def test_what_readings_do_to_causes
    machine = Expected.of(dart)
    blocked = machine.with_stage("head", k: 10 * machine.resistance)
    taken = [["head", :sealed], ["head", :flow], ["wand", :flow]].map do |point, kind|
      Reading.new(point: point, kind: kind, value: Reading.expected(blocked, point, kind))
    end
    search = UprightBench::Core::Faults::PlanSearch.new(dart, :no_suction).call
    read = BehindFaults.new(dart, Locate.new(machine, taken)).call(search.causes)

    assert_in_delta 1.0, read.fetch("neck:blocked")
    assert_operator read.fetch("motor:worn"), :<, 0.05
    ladder = UprightBench::Core::Faults::Ladder.new(search, [], read: read)

    assert_operator ladder.belief["neck:blocked"], :>, 0.7
  end
end
