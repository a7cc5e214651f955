# frozen_string_literal: true

require_relative "../test_helper"

class NamedValuesTest < AppTest
  def test_attributes_as_they_are_written
    written = "Clip: yes, twist lock: no; drive: left"
    read = { "clip" => true, "twist_lock" => false, "drive" => "left" }

    assert_equal read, Formats::NamedValues.attributes(written)
    assert_equal "clip: yes, twist lock: no, drive: left", Formats::NamedValues.words(read)
    assert_equal read, Formats::NamedValues.attributes(Formats::NamedValues.words(read))
    assert_empty Formats::NamedValues.attributes(nil)
  end

  def test_pieces
    assert_equal({ "bag" => 5, "side_brush" => 2 }, Formats::NamedValues.pieces("bag: 5\nside brush: 2"))
  end

  def test_what_cannot_be_read_is_nothing
    ["clip", "clip:", ": yes", "clip: <b>", "1clip: yes", "a: #{'x' * 61}"].each do |text|
      assert_nil Formats::NamedValues.attributes(text), text
    end
    ["bag: none", "bag: 0", "bag: 1000", "bag: 1.5"].each { |text| assert_nil Formats::NamedValues.pieces(text), text }
    assert_nil Formats::NamedValues.attributes((1..13).map { |n| "a#{n}: yes" }.join(","))
  end
end
