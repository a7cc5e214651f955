# frozen_string_literal: true

require_relative "../../core_helper"

class StockTest < CoreTest
  Stock = Labels::Stock

  def box(stock, index)
    place = stock.place(index)
    [place.left_mm, place.top_mm, place.left_mm + stock.label_mm[0], place.top_mm + stock.label_mm[1]]
  end

  def apart?(one, other)
    one[2] <= other[0] + 0.001 || other[2] <= one[0] + 0.001 || one[3] <= other[1] + 0.001 || other[3] <= one[1] + 0.001
  end

  def test_no_label_stands_over_another_nor_over_the_page
    Stock::ALL.each do |key, stock|
      boxes = Array.new(stock.a_page) { |index| box(stock, index) }

      assert boxes.combination(2).all? { |pair| apart?(*pair) }, "#{key}: one over the other"
      boxes.each do |left, top, right, bottom|
        assert_operator left, :>=, 0, key
        assert_operator top, :>=, 0, key
        assert_operator right, :<=, stock.page_mm[0] + 0.1, key
        assert_operator bottom, :<=, stock.page_mm[1] + 0.1, key
      end
    end
  end

  # What is left of the page is the same on both sides: rows of a sheet stand in its middle (common practice), within
  # the half millimetre to which the sizes are rounded.
  def test_sheets_are_symmetrical
    Stock::ALL.select { |_, stock| stock.sheet? }.each do |key, stock|
      _, _, right, bottom = box(stock, stock.a_page - 1)

      assert_in_delta stock.edge_mm[0], stock.page_mm[0] - right, 0.5, key
      assert_in_delta stock.edge_mm[1], stock.page_mm[1] - bottom, 0.6, key
    end
  end

  def test_the_next_sheet_begins_where_the_first_did
    stock = Stock.of("a4_3x7")

    assert_equal [1, 7.2, 15.1], stock.place(21).to_a
    assert_equal [0, 73.2, 53.2], stock.place(4).to_a.map { |number| number.round(3) }
  end

  def test_a_drawing_fills_the_label_one_way
    assert_in_delta 1.0, Stock.of("62x29").scale_of([62, 29])
    assert_in_delta 50.8 / 62, Stock.of("51x25").scale_of([62, 29])
    assert_in_delta 36 / 29.0, Stock.of("89x36").scale_of([62, 29])
  end

  def test_labels_over_the_page_are_refused
    assert_raises(ArgumentError) { Stock.of("a4_3x8").with(down: 9) }
  end
end
