# frozen_string_literal: true

require_relative "../test_helper"

class ForSpreadsheetTest < AppTest
  def test_semicolons_commas_and_the_mark
    text = "number,name,price\r\nA-1,\"Belt; 3 mm, flat\",3.50\r\n104.25,1.2,-0.05\r\nA-3,,\r\n"

    assert_equal "\uFEFFnumber;name;price\r\nA-1;\"Belt; 3 mm, flat\";3,50\r\n104.25;1.2;-0,05\r\nA-3;;\r\n",
      Formats::ForSpreadsheet.semicolons(text)
  end

  # Each column of money in a list is known as a number, and nothing is that no list has.
  def test_the_columns_that_are_numbers
    lists = [Formats::PartList::COLUMNS, Formats::OrderList::COLUMNS, Formats::Books::BILLS, Formats::Books::PAYMENTS]
    money = Formats::PartList::FIELDS.select { |_, (_, type)| type == :money }.keys

    assert_empty (money + %w[cost_together net tax total amount]) - Formats::ForSpreadsheet::NUMBERS
    assert_empty Formats::ForSpreadsheet::NUMBERS - lists.flatten
  end

  def test_what_goes_out_comes_in_again
    part = { number: "A-1", name: "Größe; 3, flach", kind: "belt", price_cents: 350 }
    rows = Formats::PartList.new(Formats::ForSpreadsheet.semicolons(Formats::PartList.write([part]))).call

    assert_equal part.slice(:number, :name, :price_cents), rows.first.slice(:number, :name, :price_cents)
  end
end
