# frozen_string_literal: true

require_relative "../test_helper"

class SignedCodeTest < AppTest
  DAY = Date.new(2026, 3, 31)

  def codes(keys = { 0 => "a key" })
    Formats::SignedCode.new(keys)
  end

  def test_reads_what_it_wrote
    [1, 77, (2**32) - 1].each { |id| assert_equal id, codes.read(codes.write(id, DAY), today: DAY) }
  end

  def test_forgives_capitals_dashes_and_look_alikes
    code = codes.write(5, DAY)

    assert_equal 5, codes.read(code.upcase.tr("01", "OI").insert(8, "-"), today: DAY)
  end

  # Each of the 26 letters counts: changing any one of them to any other is found out.
  def test_a_changed_letter_is_found_out
    code = codes.write(5, DAY)
    code.length.times do |index|
      other = code.dup.tap { |text| text[index] = text[index] == "2" ? "3" : "2" }
      next if other == code

      assert_raises(Formats::SignedCode::NotOurs, "place #{index}") { codes.read(other, today: DAY) }
    end
  end

  # A printed code outlives its key's turn: the number in it says which one signed.
  def test_a_new_key_signs_and_the_old_ones_are_still_read
    all = { 6 => "newest", 5 => "older", 4 => "oldest" }
    old = codes({ 5 => "older" }).write(7, DAY)

    assert_equal 7, codes(all).read(old, today: DAY)
    assert_equal 7, codes({ 6 => "newest" }).read(codes(all).write(7, DAY), today: DAY)
    assert_raises(Formats::SignedCode::NotOurs) { codes({ 6 => "newest", 4 => "oldest" }).read(old, today: DAY) }
  end

  def test_runs_out_and_belongs_to_its_key
    code = codes.write(5, DAY)

    assert_raises(Formats::SignedCode::NotOurs) { codes.read(code, today: DAY + 1) }
    assert_raises(Formats::SignedCode::NotOurs) { codes({ 0 => "another" }).read(code, today: DAY) }
    assert_raises(Formats::SignedCode::NotOurs) { codes({ 1 => "a key" }).read(code, today: DAY) }
    ["", "x", "z" * 26, nil, "caf\xE9"].each do |junk|
      assert_raises(Formats::SignedCode::NotOurs) { codes.read(junk, today: DAY) }
    end
  end
end
