# frozen_string_literal: true

require_relative "../../core_helper"

class DurationTest < CoreTest
  def test_as_people_say_it
    said = { 0 => "0 min", 24.2 => "25 min", 59 => "59 min", 60 => "1 h", 190 => "3 h 10", 65 => "1 h 05",
             1439 => "23 h 59", 1440 => "1 d",
             1441 => "1 d 1 h", 4109 => "2 d 21 h", 4080 => "2 d 20 h", 2879 => "2 d" }

    assert_equal said, said.to_h { |minutes, _| [minutes, Units::Duration.words(minutes)] }
  end
end
