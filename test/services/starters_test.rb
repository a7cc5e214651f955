# frozen_string_literal: true

require "json_schemer"
require_relative "../test_helper"

# Each starter is a whole sheet of its kind: it says how each place is done and how long that takes, and what wears or
# fills has a clock (common practice).
class StartersTest < AppTest
  # Places that are looked at and nothing else.
  NO_CLOCK = %i[path bin motor dock guide_bars comb].freeze

  def each_sheet
    Services::Starters.titles.each_key do |key|
      content = Services::Starters.content(key, maker: "Newmark", model: "One")
      yield key, content, Core::Sheets::Parse.new(content).call
    end
  end

  def test_there_is_one_for_each_kind_of_machine
    kinds = Services::Starters.titles.keys.map { |key| Services::Starters.content(key, maker: "N", model: "O")["kind"] }

    assert_equal Core::Sheets::Sheet::KINDS.map(&:to_s).sort, kinds.uniq.sort
    assert_equal 9, kinds.size
  end

  def test_each_says_minutes_and_clocks_and_what_is_dangerous
    each_sheet do |key, content, sheet|
      content["positions"].each { |place| assert_operator place["minutes"], :>, 0, "#{key}: #{place['key']}" }
      sheet.positions.each do |place|
        next if NO_CLOCK.include?(place.kind)

        refute_empty place.tasks, "#{key}: #{place.key}"
      end
      %i[motor battery lead bag].each do |kind|
        sheet.positions.select do |place|
          place.kind == kind
        end.each { |place| assert place.caution, "#{key}: #{place.key}" }
      end
    end
  end

  def test_each_is_a_sheet_file
    schema = JSONSchemer.schema(JSON.parse(File.read(File.join(TestDatabase::ROOT, "docs/sheet.schema.json"))))

    each_sheet { |key, content, sheet| assert schema.valid?(content), "#{key}: #{sheet.title}" }
  end

  def test_one_that_there_is_not
    assert_raises(KeyError) { Services::Starters.content("kettle", maker: "N", model: "O") }
  end
end
