# frozen_string_literal: true

require "json"
require_relative "../core_helper"

# A check that does more than look at a place says in its own words what it showed.
class TriesWordsTest < CoreTest
  English = UprightBench::English
  SHEETS = Dir[File.expand_path("../../{demo/sheets,starters}/*.json", __dir__)].map do |file|
    data = JSON.parse(File.read(file))
    UprightBench::Core::Sheets::Parse.new(data["sheet"] || data).call.with(runs_without_filter: true)
  end

  def checks
    SHEETS.flat_map do |sheet|
      Faults::Complaints.of(sheet).flat_map { |complaint| Faults::PlanSearch.new(sheet, complaint.key).call.checks }
    end
  end

  def test_each_try_has_its_two_outcomes_and_a_look_is_found_or_clear
    tried, looks = checks.partition { |check| check.tried? || check.splits }

    refute_empty tried
    tried.each do |check|
      words = %i[found clear].map { |result| English::Tries.outcome(check, result) }

      assert_equal words.uniq, words, check.key
      refute_includes words, "clear", check.key
    end
    assert_equal %w[found clear], %i[found clear].map { |result| English::Tries.outcome(looks.first, result) }
    assert_equal "cannot tell", English::Tries.outcome(tried.first, :cannot_tell)
  end

  def test_no_outcome_is_worded_for_a_try_that_there_is_not
    keys = checks.map(&:key)

    unused = English::Tries::OUTCOMES.keys.reject { |beginning| keys.any? { |key| key.start_with?(beginning) } }

    assert_empty unused
  end
end
