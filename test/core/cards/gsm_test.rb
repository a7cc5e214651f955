# frozen_string_literal: true

require_relative "../../core_helper"

# Against 3GPP TS 23.038 (alphabet, from memory) and the lengths everyone in the trade of text messages knows.
class GsmTest < CoreTest
  def gsm(text)
    Cards::Gsm.new(text: text)
  end

  # Clause 6.2.1: some codes of the default alphabet's table.
  def test_the_default_alphabet
    { "@" => 0, "£" => 1, "\n" => 10, "Δ" => 16, "Æ" => 28, "É" => 31, " " => 32, "¤" => 36, "0" => 48, "¡" => 64,
      "A" => 65, "Z" => 90, "Ä" => 91, "§" => 95,
      "¿" => 96, "a" => 97, "z" => 122, "à" => 127 }.each { |char, code| assert_equal [[code]], gsm(char).parts, char }
    assert_equal 128, Cards::Gsm::ALPHABET.size
  end

  # Clause 6.2.1.1.
  def test_what_stands_behind_the_escape_counts_twice
    assert_equal [[27, 0x65]], gsm("€").parts
    assert_equal 10, gsm("{}[]~").length
    assert_equal [0x0A, 0x14, 0x28, 0x29, 0x2F, 0x3C, 0x3D, 0x3E, 0x40], "\f^{}\\[~]|".each_char
      .map { |char| gsm(char).parts.flatten.last }
  end

  def test_one_message_holds_160_and_several_153_each
    assert_equal [1, 2, 2, 3], [160, 161, 306, 307].map { |letters| gsm("a" * letters).segments }
  end

  def test_what_the_alphabet_has_not_takes_two_bytes_and_fewer_fit
    assert_equal [:ucs2, %w[ł]], [gsm("Pawł").encoding, gsm("Pawł").strange]
    assert_equal [1, 2, 2, 3], [70, 71, 134, 135].map { |letters| gsm("ł" * letters).segments }
  end

  def test_no_escape_and_no_pair_is_parted
    escaped = gsm("#{'a' * 152}€#{'a' * 100}")

    assert_equal [152, 102], escaped.parts.map(&:size)
    assert_equal [66, 6], gsm("#{'ł' * 66}😀😀😀").parts.map(&:size)
  end
end
