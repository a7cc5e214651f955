# frozen_string_literal: true

require_relative "../../core_helper"

class AirTest < CoreTest
  # Saturation pressure of water in kPa: ASHRAE Handbook Fundamentals, Thermodynamic Properties of Water at
  # Saturation (from memory). The Magnus form is stated to be within 0.4 %.
  STEAM_TABLE_KPA = { 5 => 0.8726, 10 => 1.2282, 15 => 1.7057, 20 => 2.3392, 25 => 3.1697, 30 => 4.2467, 40 => 7.3844 }
    .freeze

  def test_saturation_pressure_agrees_with_the_steam_table
    STEAM_TABLE_KPA.each do |celsius, kpa|
      assert_in_epsilon kpa, Drying::Air.new(temperature_c: celsius, humidity_percent: 50).saturation_kpa, 0.004
    end
  end

  def test_saturated_air_draws_nothing
    assert_in_delta 0, Drying::Air.new(temperature_c: 21, humidity_percent: 100).deficit_kpa
  end

  def test_a_room_may_be_as_cold_and_as_warm_as_the_form_holds
    [-20, 50].each { |celsius| Drying::Air.new(temperature_c: celsius, humidity_percent: 50) }

    [-21, 51].each do |celsius|
      assert_raises(ArgumentError) { Drying::Air.new(temperature_c: celsius, humidity_percent: 50) }
    end
  end

  def test_refuses_what_is_no_room
    assert_raises(ArgumentError) { Drying::Air.new(temperature_c: 70, humidity_percent: 50) }
    assert_raises(ArgumentError) { Drying::Air.new(temperature_c: 20, humidity_percent: 101) }
  end
end
