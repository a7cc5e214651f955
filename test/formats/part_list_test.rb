# frozen_string_literal: true

require_relative "../test_helper"

# Parts as CSV (RFC 4180): what is read, what is refused, and where.
class PartListTest < AppTest
  def read(*lines)
    Formats::PartList.new(lines.join("\n")).call
  end

  def problems(*lines)
    assert_raises(Formats::Malformed) { read(*lines) }.problems
  end

  # Quotes, doubled quotes, separators and line ends within quotes: RFC 4180, section 2, rules 5 to 7.
  def test_fields_as_the_standard_has_them
    rows = read("number,name,price", "A-1,\"Belt, \"\"flat\"\"\",3.50", "A-2,\"two", "lines\",4", "A-3,x,5")

    assert_equal ["Belt, \"flat\"", "two\nlines", "x"], rows.map { |row| row[:name] }
    assert_equal [2, 3, 5], rows.map { |row| row[:line] }
    assert_equal [350, 400, 500], rows.map { |row| row[:price_cents] }
  end

  def test_semicolons_tabs_and_a_mark_at_the_start
    assert_equal [350], read("\uFEFFnumber;price", "a-1;3,50").map { |row| row[:price_cents] }
    assert_equal ["A-1"], read("number\tprice", "a-1\t3.50").map { |row| row[:number] }
  end

  def test_a_column_that_is_not_there_and_a_cell_that_is_empty
    row = read("number,maker", "A-1,").first

    assert_equal [true, nil, false], [row.key?(:maker), row[:maker], row.key?(:name)]
    assert_match(/Line 2: price may not be empty/, problems("number,price", "A-1,").first)
  end

  def test_every_mistake_names_its_line
    said = problems("number,kind,price,lead_days,filter_class,pattern,barcode",
      "A-1,2 ways,1.999,400,H99,perhaps,6291041500214", ",belt,1,,,,", "A-3,belt,1,,,,", "a-3,belt,1,,,,")

    assert_equal [2, 2, 2, 2, 2, 2, 3, 5], said.map { |words| words[/\d+/].to_i }
    assert_match(/A-3 stands on line 4 already/, said.last)
  end

  def test_lists_that_are_none
    assert_match(/no column number/, problems("name", "x").first)
    assert_match(/stands twice/, problems("number,price,price", "A,1,2").first)
    assert_match(/empty/, problems("number").first)
    assert_match(/Line 3/, problems("number,name", "A,b", "B,\"c").first)
  end

  # Also a name that looks as if it were marked already, however often.
  def test_every_cell_comes_back_as_it_was
    ["=1+1", "'=1", "''-x", "'plain", "plain", "", "@a", "'", "'''="].each do |cell|
      assert_equal cell, Formats::Cell.plain(Formats::Cell.safe(cell))
      refute_match(/\A[=+@-]/, Formats::Cell.safe(cell))
    end
  end

  # What a spreadsheet would take for a formula leaves as text, and comes back as it was.
  def test_formulas_are_text
    text = Formats::PartList.write([{ number: "A-1", name: "=1+1", kind: "belt", price_cents: 5, pattern: false,
                                      discontinued: false, pack_pieces: 1 }])

    assert_includes text, "'=1+1"
    assert_equal "=1+1", read(*text.split("\r\n")).first[:name]
  end

  def list(text, **how)
    Formats::PartList.new(text, **how).tap(&:call)
  end

  def test_what_a_supplier_calls_the_columns_is_said_once_and_the_rest_is_left_aside
    lines = "Art.-Nr.;Bezeichnung;Preis;Farbe\nzz-1;Dichtung;3,50\n"
    error = assert_raises(Formats::Unmapped) { read(lines) }

    assert_equal %w[art.-nr. bezeichnung preis farbe], error.headers
    assert_equal %w[number name price], error.headers.first(3).map { |header| Formats::ListColumns.likely(header) }
    read = list(lines, columns: { "art.-nr." => "number", "bezeichnung" => "name", "preis" => "price", "farbe" => "" },
      fixed: { "supplier" => "Harbour" })

    assert_equal [["ZZ-1", "Dichtung", 350, "Harbour"]],
      read.call.map { |row| row.values_at(:number, :name, :price_cents, :supplier) }
    assert_equal ["farbe"], read.aside
    assert_match(/stands twice/, assert_raises(Formats::Malformed) do
      list(lines, columns: { "art.-nr." => "number", "bezeichnung" => "number" })
    end.message)
  end

  # As the best-known spreadsheets write and spoil such files (common practice).
  def test_a_separator_that_is_said_and_barcodes_that_were_spoilt
    read = Formats::PartList.new("sep=;\r\nnumber;barcode;price\r\nA-1;2,00005E+12;1.234,50\r\nA-2;36000291452;\"1,234.50\"\r\n")
    rows = read.call

    assert_equal [3, 4], rows.map { |row| row[:line] }
    assert_equal [123_450, 123_450], rows.map { |row| row[:price_cents] }
    assert_equal [nil, "0036000291452"], rows.map { |row| row[:barcode] }
    refute rows.first.key?(:barcode)
    assert_match(/Line 3: barcode 2,00005E\+12 was damaged/, read.told.first)
  end

  # Windows-1252, from Unicode's table: E4 ä, 80 €, 96 –.
  def test_encodings_are_told_apart
    assert_equal "Filter für 5 € – groß", Formats::ListText.of("Filter f\xFCr 5 \x80 \x96 gro\xDF".b)
    assert_equal "für", Formats::ListText.of("für".b)
  end
end
