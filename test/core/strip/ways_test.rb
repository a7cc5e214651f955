# frozen_string_literal: true

require_relative "../../core_helper"
require_relative "random_sheets"

# The least that has to be opened, held against every choice that there is.
class StripWaysTest < CoreTest
  # @return [Array] the cost of the cheapest set of steps that opens all places and lacks nothing before it
  def cheapest(sheet, places)
    ways = Strip::Ways.new(sheet)
    keys = sheet.steps.map(&:key)
    (0..keys.size).flat_map { |size| keys.combination(size).to_a }
      .select { |chosen| whole?(sheet, chosen) && opens?(sheet, chosen, places) }.map { |chosen| ways.cost(chosen) }.min
  end

  def whole?(sheet, chosen)
    chosen.all? { |key| (sheet.step(key).after - chosen).empty? }
  end

  def opens?(sheet, chosen, places)
    places.all? { |place| sheet.openers(place).then { |ways| ways.empty? || ways.map(&:key).intersect?(chosen) } }
  end

  def test_nothing_cheaper_opens_the_same_places
    for_all(times: 150) do |random|
      sheet = RandomSheets.of(random, most: 8)
      places = RandomSheets.wanted(random, sheet)
      ways = Strip::Ways.new(sheet)

      assert_equal cheapest(sheet, places), ways.cost(ways.to(places).map(&:key))
    end
  end

  def sheet_of(*steps)
    places = steps.flat_map(&:opens).uniq
    RandomSheets.built(places.map { |key| RandomSheets.plain(key) }, steps)
  end

  def step(key, **fields)
    Sheets::Step.new(key: key, name: key, **fields)
  end

  # A cover that opens both costs less than two that open one each.
  def test_what_is_shared_is_opened_once
    sheet = sheet_of(step("a", opens: %w[p], minutes: 3), step("b", opens: %w[q], minutes: 3),
      step("both", opens: %w[p q], minutes: 4))
    ways = Strip::Ways.new(sheet)

    assert_equal [%w[a], %w[both]], [ways.to(%w[p]), ways.to(%w[p q])].map { |steps| steps.map(&:key) }
  end

  # The owner's handbook first, whatever it takes: the maker's warranty hangs on it.
  def test_a_way_within_the_handbook_is_preferred
    sheet = sheet_of(step("short", opens: %w[p], minutes: 1, beyond_handbook: true),
      step("long", opens: %w[p], minutes: 9))

    assert_equal %w[long], Strip::Ways.new(sheet).to(%w[p]).map(&:key)
  end

  # Who opened it another way need not open it again.
  def test_what_is_open_already_costs_nothing_more
    sheet = sheet_of(step("short", opens: %w[p], minutes: 1), step("long", opens: %w[p], minutes: 9))

    assert_equal %w[long], Strip::Ways.new(sheet).to(%w[p], done: %w[long]).map(&:key)
    assert_equal %w[long], Strip::Plan.new(sheet, %w[p], open: %w[long]).opening.map { |one| one.step.key }
    assert_nil Strip::Tray.new(sheet, to_do: %w[p], done: [], open: %w[long]).next_out
  end

  def test_an_unknown_place_is_refused
    assert_raises(KeyError) { Strip::Ways.new(sheet_of(step("a", opens: %w[p]))).to(%w[attic]) }
  end
end
