# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

# What is done about a fault is what its finding says.
class RemedyTest < CoreTest
  SHEET = Sheets::Parse.new(JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/hallmoor-dart-m.json")))).call

  # Common practice: foam is washed, a torn filter replaced, a burnt motor referred, a wrong setting set right.
  def test_by_the_finding
    { %w[pre-filter full] => :wash, %w[pre-filter torn] => :replace, %w[motor burnt] => :refer,
      %w[roll wound] => :clean }.each do |(place, fault), remedy|
      position = SHEET.position(place)
      cause = Faults::Cause.at(position, Faults::Possible.fetch(position.kind, fault.to_sym), 0.1)

      assert_equal remedy, Faults::Remedy.of(SHEET, cause), "#{place} #{fault}"
    end
    assert_equal :set, Faults::Remedy.of(SHEET, Faults::Cause.setting(:pile, 0.1))
  end

  def test_every_fault_has_one_that_can_be_said
    Faults::Complaints::ALL.each do |complaint|
      Faults::PlanSearch.new(SHEET, complaint.key).call.causes.each do |cause|
        assert_includes Faults::Remedy::WORDS.keys, Faults::Remedy.of(SHEET, cause), cause.key
      end
    end
  end
end
