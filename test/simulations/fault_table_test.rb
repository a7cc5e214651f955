# frozen_string_literal: true

# Group: slow (a simulation)

require "json"
require_relative "../core_helper"

# The whole table of faults on every sheet that ships.
class FaultTableSimulation < CoreTest
  SHEETS = Dir[File.join(CoreAlone::ROOT, "{demo/sheets,starters}/*.json")].to_h do |file|
    data = JSON.parse(File.read(file))
    [File.basename(file, ".json"), Sheets::Parse.new(data["sheet"] || data).call]
  end

  def test_every_complaint_of_every_machine_can_be_searched
    SHEETS.to_a.product(Faults::Complaints::ALL).each do |(name, sheet), complaint|
      search = Faults::PlanSearch.new(sheet, complaint.key).call
      words = "#{name}: #{complaint.words}"

      assert_in_delta 1.0, search.causes.sum(&:weight) + search.none, 1e-9, words
      refute_empty search.checks, words
      looks = search.checks.select { |check| [check.place, Faults::PlanSearch::SETTINGS].include?(check.key) }
      shown = looks.flat_map { |check| check.shows.keys }

      assert_equal search.causes.map(&:key).sort, shown.sort, "#{words}: each cause is shown by one look"
      refute_nil Faults::Ladder.new(search).next_step, words
    end
  end
end
