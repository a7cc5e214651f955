# frozen_string_literal: true

require_relative "../test_helper"

class SignedCodeTest < AppTest
  DAY = Date.new(2026, 3, 31)

  def codes
    Formats::SignedCode.new("a secret of some length", "card code")
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
    code.length.times do |place|
      other = code.dup.tap { |text| text[place] = text[place] == "2" ? "3" : "2" }
      next if other == code

      assert_raises(Formats::SignedCode::Bad, "place #{place}") { codes.read(other, today: DAY) }
    end
  end

  def test_runs_out_and_belongs_to_its_secret_and_purpose
    code = codes.write(5, DAY)

    assert_raises(Formats::SignedCode::Bad) { codes.read(code, today: DAY + 1) }
    assert_raises(Formats::SignedCode::Bad) { Formats::SignedCode.new("another", "card code").read(code, today: DAY) }
    assert_raises(Formats::SignedCode::Bad) { Formats::SignedCode.new("a secret of some length", "job code").read(code, today: DAY) }
    ["", "x", "z" * 26, nil, "caf\xE9"].each { |junk| assert_raises(Formats::SignedCode::Bad) { codes.read(junk, today: DAY) } }
  end
end
