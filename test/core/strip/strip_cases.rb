# frozen_string_literal: true

require "json"
require_relative "../../core_helper"
require_relative "random_sheets"

# What holds of every machine that is opened and closed again: on every demo sheet, and on sheets made at random.
# Whoever includes it says `seeds`.
module StripCases
  DEMO = Dir[File.join(CoreAlone::ROOT, "demo/sheets/*.json")].map do |file|
    UprightBench::Core::Sheets::Parse.new(JSON.parse(File.read(file))).call
  end.freeze

  Case = Struct.new(:name, :sheet, :places, :plan, :opened, :back)

  # Made for a class.
  module Made
    # Each made once, for all tests.
    def cases(seeds)
      @cases ||= seeds.map { |seed| of_seed(seed) } +
                 DEMO.product([*0..9]).map { |sheet, seed| a_case(sheet, Random.new(seed)) } +
                 DEMO.map { |sheet| a_case(sheet, places: sheet.walk.map(&:key)) }
    end

    def of_seed(seed)
      random = Random.new(seed)
      a_case(RandomSheets.of(random), random, name: "seed #{seed}")
    end

    def a_case(sheet, random = nil, places: RandomSheets.wanted(random, sheet), name: sheet.model)
      plan = UprightBench::Core::Strip::Plan.new(sheet, places)
      Case.new(name, sheet, places, plan, plan.opening.map { |one| one.step.key }, plan.refit)
    end
  end

  def self.included(test)
    test.extend Made
  end

  def each_case(&)
    self.class.cases(self.class::SEEDS).each(&)
  end

  # @return [Hash{String=>Integer}] key of a place => when its part goes back
  def parts_at(back)
    back.each_with_index.flat_map { |one, index| one.places.map { |place| [place.key, index] } }.to_h
  end

  # @return [Hash{String=>Integer}] key of a step => when it is closed
  def closed_at(back)
    back.each_with_index.filter_map { |one, index| [one.step.key, index] if one.step }.to_h
  end

  def test_nothing_is_opened_twice_nor_before_what_comes_before_it
    each_case do |one|
      assert_equal one.opened.uniq, one.opened, one.name
      one.opened.each_with_index do |key, index|
        assert_empty one.sheet.step(key).after - one.opened.first(index), "#{one.name}: #{key}"
      end
    end
  end

  def test_every_place_is_reached
    each_case do |one|
      one.places.each do |place|
        ways = one.sheet.openers(place).map(&:key)

        assert ways.empty? || ways.intersect?(one.opened), "#{one.name}: #{place}"
      end
    end
  end

  # What is opened is closed, each part goes back once, and nothing behind what is closed already.
  def test_what_came_out_goes_back_and_nothing_behind_what_is_closed
    each_case do |one|
      assert_back_once(one)
      assert_closed_last(one)
      assert_parts_first(one)
    end
  end

  def assert_back_once(one)
    parts = one.back.flat_map(&:places).map(&:key)

    assert_equal parts.uniq, parts, one.name
    assert_empty one.places - parts, one.name
  end

  def assert_closed_last(one)
    closed = closed_at(one.back).keys

    assert_equal one.opened.sort, closed.sort, one.name
    closed.each_with_index do |key, index|
      assert_empty one.sheet.step(key).after - closed.drop(index + 1), "#{one.name}: #{key} is closed too early"
    end
  end

  # The part of each place that was worked at is in before its way in is closed.
  def assert_parts_first(one)
    closed = closed_at(one.back)
    parts_at(one.back).each do |place, index|
      one.plan.way_to(place).each do |key|
        assert_operator index, :<=, closed.fetch(key), "#{one.name}: #{place}, #{key}"
      end
    end
  end
end
