# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

# What must hold of a whole sheet, each rule broken once.
class RulesTest < CoreTest
  def content(file = "maristo-twinroll")
    JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/#{file}.json")))
  end

  def place(sheet, key)
    sheet["positions"].find { |row| row["key"] == key }
  end

  def broken(file = "maristo-twinroll", &)
    sheet = content(file).tap(&)
    assert_raises(Sheets::Invalid) { Sheets::Parse.new(sheet).call }.problems
  end

  def assert_broken(words, file = "maristo-twinroll", &)
    assert_match words, broken(file, &).join("\n")
  end

  def test_two_stations_are_a_path_and_one_is_none
    starter = Sheets::Starter.content(kind: :drum, maker: "N", model: "O")
    of = lambda do |stations|
      kept = starter["stations"].first(stations)
      places = starter["positions"].select { |place| kept.map { |row| row["key"] }.include?(place["station"]) }
      { **starter, "stations" => kept, "positions" => places.map { |place| place.except("never_without") } }
    end

    assert_match(/at least two stations/, assert_raises(Sheets::Invalid) { Sheets::Parse.new(of.call(1)).call }.message)
    words = begin
      Sheets::Parse.new(of.call(2)).call && ""
    rescue Sheets::Invalid => e
      e.message
    end

    refute_match(/two stations/, words)
  end

  def test_no_two_positions_in_one_place
    assert_broken(/felt and foam sit in one place/) { |sheet| place(sheet, "foam")["layer"] = 2 }
    assert_broken(/sit in one place/) { |sheet| place(sheet, "felt").delete("layer") }
  end

  # Common practice: a cassette takes the place of the plain sheet, never on top of it.
  def test_filters_that_must_not_be_stacked
    assert_broken(/exhaust-filter must not be stacked with sheet/, "brackwater-loft-k") do |sheet|
      place(sheet, "exhaust-filter")["layer"] = 1
      sheet["positions"] << { "key" => "sheet", "name" => "Plain sheet", "station" => "exhaust", "kind" => "filter",
        "seat" => "exhaust grille", "layer" => 2 }
    end
  end

  # Common practice: paper bag and textile filter, never one without the other.
  def test_never_without_names_a_place_that_is_there
    assert_broken(/no position textile-filter/, "corvane-drum-30") do |sheet|
      sheet["positions"].reject! { |row| row["key"] == "textile-filter" }
      sheet["steps"].reject! { |row| row["takes_off"] == ["textile-filter"] }
      sheet["steps"].each { |row| row["after"]&.delete("textile-out") || row["opens"]&.delete("textile-filter") }
    end
    assert_broken(/cannot need itself/, "corvane-drum-30") { |sheet| place(sheet, "bag")["never_without"] = "bag" }
  end

  # A box of four bags and one motor filter: a filter every four bags.
  def test_a_kit_contains_what_it_says
    assert_broken(/a kit holds spare, and there is no such position/,
      "brackwater-loft-k") { |sheet| sheet["kits"][0]["contains"]["spare"] = 1 }
    assert_broken(/holds 5 bags for 1 of motor-filter, its clock says one every 4 bags/,
      "brackwater-loft-k") { |sheet| sheet["kits"][0]["contains"]["bag"] = 5 }
    double = content("brackwater-loft-k")
    double["kits"][0]["contains"] = { "bag" => 8, "motor-filter" => 2 }

    assert Sheets::Parse.new(double).call
  end

  def test_what_a_place_is_unless_its_sheet_says_so
    plain = Sheets::Position.new(key: "p", name: "P", station: "head", kind: :filter)

    assert_equal [false, false], [plain.alone, plain.washable?]
    assert_equal [nil, nil], [plain.seat, plain.caution]
  end

  def test_clocks_have_units
    clock = lambda { |fields|
      lambda { |sheet|
        place(sheet, "bin-seal")["tasks"] = [{ "key" => "x", "action" => "replace", "clocks" => [fields] }]
      }
    }

    assert_broken(/unknown clock weeks/, &clock.call({ "kind" => "weeks", "limit" => 3 }))
    assert_broken(/what it counts: bags or washes/, &clock.call({ "kind" => "count", "limit" => 3, "of" => "moons",
      "each_hours" => 2 }))
    assert_broken(/counts percent/, &clock.call({ "kind" => "indicator", "limit" => 150 }))
    assert_broken(/limit must be a number above 0/, &clock.call({ "kind" => "hours", "limit" => 0 }))
  end

  def test_what_is_never_wetted
    assert_broken(/a lead is never wetted/) do |sheet|
      place(sheet, "lead").merge!("water" => "cold", "drying_floor_hours" => 2)
    end
  end

  def test_a_problem_names_its_path
    problem = broken { |sheet| place(sheet, "bin")["minutes"] = 0 }.first

    assert_equal ["positions", 6, "minutes"], problem.path
    assert_equal "positions › 7 › minutes: minutes must be a number above 0", problem.to_s
  end

  def test_a_starter_for_every_kind
    Sheets::Sheet::KINDS.each do |kind|
      sheet = Sheets::Parse.new(Sheets::Starter.content(kind: kind, maker: "Newmark", model: "One")).call

      assert sheet.rough
      assert_empty sheet.positions.select(&:washable?), "nobody knows yet what may be wetted"
    end
    assert_raises(KeyError) { Sheets::Starter.content(kind: :kettle, maker: "N", model: "O") }
  end

  # What nothing flows through lies beside the way of the air; what only its maker knows is not there.
  def test_what_a_starter_has_for_mains_and_for_a_pack
    beside = lambda do |power|
      content = Sheets::Starter.content(kind: :upright, maker: "N", model: "O", power: power)
      content["positions"].select { |place| %w[lead battery contacts].include?(place["kind"]) }
        .to_h { |place| [place["kind"], place["beside"]] }
    end

    assert_equal [{ "lead" => true }, { "contacts" => true, "battery" => true }], %i[mains battery].map(&beside)
    assert_equal 0, Sheets::Starter.content(kind: :upright, maker: "N", model: "O")["warranty_months"]
  end

  # Common practice: what a clock goes by where a sheet does not say.
  def test_what_a_clock_goes_by
    loft = Sheets::Parse.new(content("brackwater-loft-k")).call
    goes_by = ->(place, task) { loft.position(place).task(task).clocks.to_h { |clock| [clock.kind, clock.goes_by] } }

    assert_equal({ hours: :condition, months: :fixed }, goes_by.call("bag", "replace"))
    assert_equal :fixed, goes_by.call("motor-filter", "replace").fetch(:count)
    assert_equal %i[condition fixed condition condition],
      [%i[roll replace months], %i[filter replace months], %i[filter wash months], %i[bag replace hours]]
        .map { |which| Sheets::GoesBy.default(*which) }
  end

  def test_a_sheet_may_say_otherwise
    sheet = content("brackwater-loft-k")
    place(sheet, "bag")["tasks"].first["clocks"].each { |clock| clock["goes_by"] = "fixed" }

    assert_equal [:fixed], Sheets::Parse.new(sheet).call.position("bag").tasks.first.clocks.map(&:goes_by).uniq
    assert_broken(/goes by fixed or condition/, "brackwater-loft-k") do |broken|
      place(broken, "bag")["tasks"].first["clocks"].first["goes_by"] = "feeling"
    end
  end

  # A bag or a bin, the mains or a pack: what is seen at the counter decides the places.
  def test_a_starter_follows_what_was_seen
    kinds = lambda { |kind, **seen|
      Sheets::Parse.new(Sheets::Starter.content(kind: kind, maker: "N", model: "O", **seen)).call
        .positions.map { |place| [place.kind, place.name] }
    }

    assert_includes kinds[:upright, dust: :bag], [:bag, "Bag"]
    assert_includes kinds[:canister, dust: :bin], [:bin, "Bin"]
    has = ->(places) { %i[battery contacts lead].map { |kind| places.to_h.key?(kind) } }

    assert_equal [true, true, false], has[kinds[:upright, power: :battery]]
    assert_equal [false, false, true], has[kinds[:stick, power: :mains]]
    assert_equal "battery", Sheets::Starter.content(kind: :upright, maker: "N", model: "O", power: :battery)["power"]
  end

  # A soft roll may be washed or not, as only its maker knows; nobody washes bristles.
  def test_a_starter_knows_a_soft_roll_from_bristles
    roll = lambda { |**seen|
      Sheets::Parse.new(Sheets::Starter.content(kind: :stick, maker: "N", model: "O", **seen)).call.position("roll")
    }

    assert_predicate roll[roll: :soft], :water_unknown?
    [roll[roll: :bristle], roll.call].each { |one| refute_predicate one, :water_unknown? }
  end

  def test_a_starter_names_what_usually_comes_with_its_kind
    Sheets::Sheet::KINDS.each do |kind|
      refute_empty Sheets::Parse.new(Sheets::Starter.content(kind: kind, maker: "N", model: "O")).call.accessories, kind
    end
  end

  def test_what_hangs_beside_the_air_path_of_a_starter
    beside = Sheets::Sheet::KINDS.to_h do |kind|
      sheet = Sheets::Parse.new(Sheets::Starter.content(kind: kind, maker: "Newmark", model: "One")).call
      [kind, sheet.positions.select(&:beside).map(&:key)]
    end

    assert_equal({ upright: %w[dust-seal lead], canister: %w[lid-seal lead], stick: %w[contacts bin-seal battery],
                   robot: %w[side-brush wheels contacts battery], drum: %w[lid-seal lead] }, beside)
  end

  # How a filter is washed is nothing for one that is tapped out; of another part the words may be for both.
  def test_a_filter_that_is_tapped_out_is_not_told_to_be_rinsed
    filter = position(water: :cold, drying_floor_hours: 24, care: "Rinse it cold.")

    assert_equal [nil, "Rinse it cold.", "Rinse it cold."],
      %w[clean wash replace].map { |action| filter.care_for(action) }
    assert_equal "Tap it.", filter.with(care_of: { "clean" => "Tap it." }).care_for(:clean)
    assert_equal "Rinse it cold.", filter.with(kind: :screen).care_for(:clean)
    assert_equal "Never wetted.", position(care: "Never wetted.").care_for(:clean)
  end

  def test_what_changed_between_versions
    before = content
    after = content.tap do |sheet|
      place(sheet, "bin")["minutes"] = 4
      place(sheet, "vents").delete("care")
      sheet["positions"].reject! { |row| row["key"] == "window" }
      sheet["warranty_months"] = 24
    end

    assert_empty Sheets::Changes.new(before, content).call
    assert_equal ["warranty months was 60, is 24", "place Head window removed", "Bin: minutes was 2, is 4"],
      Sheets::Changes.new(before, after).call.grep_v(/care was/)
  end
end
