# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

# The table of complaints and what is behind them, held against the findings, the sheets and the counter.
class FaultTableTest < CoreTest
  include UprightBench::Core

  SHEETS = Dir[File.expand_path("../../../{demo/sheets,starters}/*.json", __dir__)].to_h do |file|
    data = JSON.parse(File.read(file))
    [File.basename(file, ".json"), Sheets::Parse.new(data["sheet"] || data).call]
  end

  def searches
    SHEETS.flat_map do |name, sheet|
      Faults::Complaints::ALL.map { |complaint| [name, sheet, complaint, Faults::PlanSearch.new(sheet, complaint.key).call] }
    end
  end

  # What is wrong is a finding that the look-over knows, and that means work or a stop.
  def test_every_fault_is_a_finding_with_work
    Kinds.all.each do |part|
      part.faults.each_value do |fault|
        fault.observed.each { |name, value| assert can_be?(part.fields.fetch(name), value), "#{part.key} #{fault.key}" }
        verdict = read(part.key, fault.observed)

        refute_nil verdict, "#{part.key} #{fault.key}"
        refute_equal :leave, verdict.kind, "#{part.key} #{fault.key}"
      end
    end
  end

  def can_be?(field, value)
    field.check_value(value)
    !field.respond_to?(:options) || field.options.include?(value)
  end

  def read(part, observed)
    place = SHEETS.each_value.flat_map(&:walk).find { |one| one.kind == part }
    Findings::Read.new(position: place, observed: observed, background: Findings::Background.new).call
  end

  def test_every_complaint_may_come_of_a_part_and_every_part_can_be_at_fault
    Faults::Complaints::ALL.each do |complaint|
      refute_empty complaint.rows.reject { |row| row.part == Faults::Possible::SETTING }, complaint.key
    end
    Kinds.all.each { |kind| refute_empty kind.faults, kind.key }
  end

  # In about nine of ten cordless machines that pulse, the filter is the cause (common practice).
  def test_a_cordless_machine_that_pulses
    SHEETS.select { |_, sheet| sheet.kind == :stick }.each do |name, sheet|
      search = Faults::PlanSearch.new(sheet, :pulses).call
      filters = search.causes.select { |cause| cause.place && sheet.position(cause.place).kind == :filter }

      assert_in_delta 0.9, filters.sum(&:weight), 0.06, name
      shown = Faults::Ladder.new(search).next_step.check.shows.keys.map { |key| search.cause_of(key) }

      assert_equal :filter, sheet.position(shown.max_by(&:weight).place).kind, name
    end
  end

  # Settings come before anything is opened.
  def test_settings_first
    searches.each do |name, _, complaint, search|
      settings = search.checks.find { |check| check.key == Faults::PlanSearch::SETTINGS } or next
      next if Faults::Belief.of(search).sign(settings) < Faults::Ladder::SETTINGS_FIRST

      assert_equal settings, Faults::Ladder.new(search).next_step.check, "#{name}: #{complaint.words}"
    end
  end

  def test_complaints_in_what_was_written
    keys = ->(text) { Faults::Complaints.in_text(text).map(&:key) }

    assert_equal %i[pulses], keys.call("Pulses since Monday")
    assert_equal %i[weak_on_the_floor smells], keys.call("weak on the floor, smells")
    assert_equal %i[weak_on_the_floor noise], keys.call("Weak on the floor and loud")
    assert_equal %i[dirt_comes_back_out], keys.call("dirt falls back out")
    assert_equal %i[weak_everywhere], keys.call("weak suction")
    assert_empty keys.call("impulses, yearly service")
  end

  def test_a_service_is_none
    ["yearly service", "Half-yearly service", "check-up"].each { |text| assert(Faults::Complaints.service?(text)) }
    ["yearly service, smells", "pulses", "", "disservice", nil].each { |text| refute(Faults::Complaints.service?(text)) }
  end
end
