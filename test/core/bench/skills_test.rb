# frozen_string_literal: true

require "json"
require_relative "plan_helper"

class SkillsTest < Minitest::Test
  include PlanHelper

  # A drum whose filter lies behind a shell that its handbook leaves shut.
  def sheet
    @sheet ||= begin
      file = JSON.parse(File.read(File.expand_path("../../../starters/drum.json", __dir__)))
      file["steps"] = [{ "key" => "shell", "name" => "Open the shell", "opens" => ["filter"],
                         "beyond_handbook" => true }]
      Sheets::Parse.new(file).call
    end
  end

  def skill(key, action)
    Bench::Skills.of(sheet, sheet.position(key), action)
  end

  def test_the_motor_and_what_the_handbook_leaves_shut
    assert_equal :motor_heads, skill("motor", "replace")
    assert_equal :motor_heads, skill("filter", "wash")
    assert_nil skill("hose", "clean")
    assert_nil skill("motor", "inspect"), "looking at it opens nothing"
  end

  def test_who_may_do_what
    hand = Bench::Technician.new(id: 1, calendar: calendar, skills: [:motor_heads])

    assert hand.may?(operation(10, skill: :motor_heads))
    refute hand.may?(operation(10, skill: :final_tests))
    refute hand.may?(operation(10, technician: 2))
  end
end
