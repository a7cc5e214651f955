# frozen_string_literal: true

require_relative "../test_helper"

class ForSpreadsheetTest < AppTest
  def test_semicolons_commas_and_the_mark
    text = "number,name,price\r\nA-1,\"Belt; 3 mm, flat\",3.50\r\nA-2,1.2.3,-0.05\r\n"

    assert_equal "\uFEFFnumber;name;price\r\nA-1;\"Belt; 3 mm, flat\";3,50\r\nA-2;1.2.3;-0,05\r\n",
      Formats::ForSpreadsheet.semicolons(text)
  end

  def test_what_goes_out_comes_in_again
    part = { number: "A-1", name: "Größe; 3, flach", kind: "belt", price_cents: 350 }
    rows = Formats::PartList.new(Formats::ForSpreadsheet.semicolons(Formats::PartList.write([part]))).call

    assert_equal part.slice(:number, :name, :price_cents), rows.first.slice(:number, :name, :price_cents)
  end
end
