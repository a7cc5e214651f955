# frozen_string_literal: true

require_relative "../test_helper"

# Against Ruby's own tables of these encodings.
class TextEncodingTest < AppTest
  ROWS = "Name;Ort\nJürgen Müßig;Köln\nFrançois Lefèvre;Orléans\nMaría Núñez;Málaga\nÅse Sørbø;Tromsø\n"

  def test_every_usual_encoding_is_read_as_it_was_written
    { "Windows-1252" => ROWS, "macRoman" => ROWS, "CP850" => ROWS, "UTF-8" => ROWS }.each do |name, text|
      bytes = text.encode(name).b

      assert_equal name, Formats::TextEncoding.guess(bytes)
      assert_equal text, Formats::TextEncoding.text(bytes, name)
    end
  end

  def test_one_accent_among_many_names
    plain = "Name,Town\n#{"Jo Kell,Tweed\n" * 200}"

    { "Windows-1252" => "Renée Bär,Tweed\n", "CP850" => "Renée Bär,Tweed\n", "macRoman" => "Renée Bär,Tweed\n" }
      .each { |name, row| assert_equal name, Formats::TextEncoding.guess((plain + row).encode(name).b) }
  end

  def test_a_mark_says_it
    { "UTF-8" => "\xEF\xBB\xBF", "UTF-16LE" => "\xFF\xFE", "UTF-16BE" => "\xFE\xFF" }.each do |name, mark|
      bytes = mark.b + ROWS.encode(name).b

      assert_equal name, Formats::TextEncoding.guess(bytes)
      assert_equal ROWS, Formats::TextEncoding.text(bytes, name)
    end
    assert_equal "UTF-16LE", Formats::TextEncoding.guess(ROWS.encode("UTF-16LE").b)
  end

  def test_a_long_file_may_be_cut_off_in_a_letter
    text = "é" * Formats::TextEncoding::LOOKED_AT

    assert_equal "UTF-8", Formats::TextEncoding.guess("x#{text}")
  end

  def test_what_is_no_text_is_told_and_breaks_nothing
    bytes = Random.new(5).bytes(2000)

    assert_includes Formats::TextEncoding::ALL.keys, Formats::TextEncoding.guess(bytes)
    Formats::TextEncoding::ALL.each_key do |name|
      assert_predicate Formats::TextEncoding.text(bytes, name), :valid_encoding?
      refute_includes Formats::TextEncoding.text(bytes, name), "\u0000"
    end
  end
end
