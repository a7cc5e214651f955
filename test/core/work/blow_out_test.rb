# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

class BlowOutTest < CoreTest
  Item = Struct.new(:position, :action)

  def blow_out(model, work)
    sheet = Sheets::Parse.new(JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/#{model}.json")))).call
    Work::BlowOut.new(sheet, work.map { |place, action| Item.new(place, action) })
  end

  # Common practice: look for a gasket that lifted when parts were blown out.
  def test_what_is_blown_out_and_what_may_have_lifted
    air = blow_out("hallmoor-dart-m", { "cones" => "clean", "bin" => "clean" })

    assert_equal [%w[cones], ["cyclone gasket"]], [air.places.map(&:key), air.light]
  end

  def test_a_wash_or_a_new_part_needs_no_air
    assert_empty blow_out("hallmoor-dart-m", { "cones" => "wash", "screen" => "replace" }).places
    assert_empty blow_out("hallmoor-dart-m", {}).light
  end
end
