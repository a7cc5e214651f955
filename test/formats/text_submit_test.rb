# frozen_string_literal: true

require_relative "../test_helper"

class TextSubmitTest < AppTest
  def submit(text)
    Formats::TextSubmit.new(Core::Cards::Gsm.new(text: text), reference: 7)
  end

  # 3GPP TS 23.038 clause 6.1.2.1; "hellohello" is the example that most descriptions of the packing work through (from
  # memory).
  def test_seven_bits_are_packed_the_lowest_first
    assert_equal ["E8329BFD4697D9EC37"], submit("hellohello").parts.map { |part| part.unpack1("H*").upcase }
  end

  def test_160_characters_fill_140_bytes_and_no_part_is_longer
    assert_equal [140], submit("a" * 160).parts.map(&:bytesize)
    assert_operator submit("a" * 700).parts.map(&:bytesize).max, :<=, 140
    assert_equal [140, 140], submit("ł" * 134).parts.map(&:bytesize)
  end

  # 3GPP TS 23.040 clause 9.2.3.24.1: length, element, its length, reference, how many, which.
  def test_the_header_that_joins_the_parts
    assert_equal [[5, 0, 3, 7, 2, 1], [5, 0, 3, 7, 2, 2]], submit("a" * 161).parts.map { |part| part.bytes.first(6) }
  end

  def test_the_first_septet_behind_a_header_begins_on_its_border
    part = submit("a" * 161).parts.last
    number = part.bytes.each_with_index.sum { |byte, index| byte << (8 * index) }

    assert_equal [97] * 8, Array.new(8) { |index| (number >> (7 * (7 + index))) & 127 }
  end

  # 3GPP TS 23.040 clause 9.2.3.16: septets, or bytes. Seven letters fill seven bytes to the last bit but seven: read by
  # the bytes alone there would be an eighth, "@".
  def test_the_length_of_what_is_packed
    assert_equal [[7], [7]], [submit("a" * 7), submit("a" * 7)].map(&:lengths)
    assert_equal [7, [160], [160, 15]], [submit("a" * 7).parts.first.bytesize, submit("a" * 160).lengths,
                                         submit("a" * 161).lengths]
    assert_equal [[134]], [submit("ł" * 67).lengths]
  end
end
