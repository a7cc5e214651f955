# frozen_string_literal: true

require "nokogiri"
require_relative "../test_helper"

# Rounds of practice over time.
class PracticeLineTest < AppTest
  def render(*ratios)
    points = ratios.map { |ratio| Drawings::PracticeLine::Point.new(day: "5 May", ratio: ratio, right: ratio < 3) }
    Nokogiri::XML(Drawings::PracticeLine.new(points).render).remove_namespaces!
  end

  def test_the_better_the_lower_and_wrong_is_a_cross
    drawn = render(2.0, 1.0, 9.0)
    heights = drawn.xpath("//circle").map { |mark| mark["cy"].to_f }

    assert_operator heights[0], :<, heights[1]
    assert_in_delta drawn.at_xpath("//line")["y1"].to_f, heights[1], 0.1, "as good as the best is on its line"
    assert_equal 1, drawn.xpath("//path").size
    assert_match(/3 rounds, from 2 to 9 times the best order; 2 named right/, drawn.at_xpath("//title").text)
  end

  def test_what_took_very_long_stays_in_the_picture
    points = render(50.0, 1.0).at_xpath("//polyline")["points"].split.map { |pair| pair.split(",").last.to_f }

    assert(points.all? { |down| down.between?(0, Drawings::PracticeLine::FLOOR) })
  end
end
