# frozen_string_literal: true

# Group: slow (reads codes off paper at the resolution of a scanner)
# Needs: poppler-utils zbar-tools

require "open3"
require_relative "../test_helper"

# Code 128 as on the shelf labels: ISO/IEC 15417, whose check character is the sum of the values, each times its place,
# modulo 103.
class ShelfLabelTest < AppTest
  def code(text)
    Barby::Code128.new(text)
  end

  # The worked examples most often printed (from memory): "PJJ123C" in set A has 54 for its check character;
  # "Wikipedia" in set B has 88.
  def test_published_check_characters
    assert_equal 54, Barby::Code128A.new("PJJ123C").checksum
    assert_equal 88, Barby::Code128B.new("Wikipedia").checksum
  end

  # Values of set B are the ASCII code less 32; of set C, pairs of digits; start B is 104, start C 105 (ISO/IEC 15417,
  # table 1).
  def test_the_check_character_of_our_numbers
    Models::Part.select_map(:number).each do |number|
      sum = number.bytes.each.with_index(1).sum(104) { |byte, index| (byte - 32) * index } % 103

      assert_equal sum, Barby::Code128B.new(number).checksum, number
    end
  end

  # A symbol is 11 modules a character, with start and check, and a stop of 13; it begins and ends with a bar.
  def test_the_bars_are_whole
    modules = Papers::ShelfLabel.modules("HD-2010")

    assert_match(/\A11010010000|\A11010000100|\A11010011100/, modules)
    assert modules.end_with?("1100011101011")
    assert_equal 2, modules.size % 11
  end

  # @return [Array<String>] what zbar reads on each label, as a printer of so many dots an inch draws it
  def read(numbers, dots)
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/labels.pdf", Papers::ShelfLabel.new(shop: "Shop",
        labels: numbers.map { |number| { name: "Filter " * 20, number: number, price: "$16.50" } }).render)
      system("pdftoppm", "-r", dots.to_s, "-mono", "#{folder}/labels.pdf", "#{folder}/label")
      Dir["#{folder}/label*.pbm"].map { |page| Open3.capture2("zbarimg", "-q", "--nodbus", page).first.strip }
    end
  end

  # The page is drawn as the usual label printer does it and read by zbar, also a long number and one of digits only.
  def test_the_bars_scan
    numbers = ["HD-2010", "A1/#{'7' * 10}.B-1234", "20461234", "PLEAT-LAYER-2026-X"]

    [203, 300].each { |dots| assert_equal numbers.map { |number| "CODE-128:#{number}" }, read(numbers, dots), dots }
  end

  # On every roll and sheet that the shop may choose, as an office printer of 300 dots draws it: what fits is read, and
  # what does not is said to be too long.
  def test_the_bars_scan_on_every_label
    Core::Labels::Stock::SMALL.each do |key, stock|
      Dir.mktmpdir do |folder|
        File.binwrite("#{folder}/labels.pdf", Papers::ShelfLabel.new(shop: "Shop",
          labels: %w[HD-2010 20461234 CT-5].map { |number| { name: "Filter", number: number, price: "$1" } })
          .render(labels: key, first: stock.a_page))
        system("pdftoppm", "-r", "300", "-mono", "#{folder}/labels.pdf", "#{folder}/label")
        read = Dir["#{folder}/label*.pbm"]
          .flat_map { |page| Open3.capture2("zbarimg", "-q", "--nodbus", page).first.lines }

        assert_equal %w[CODE-128:20461234 CODE-128:CT-5 CODE-128:HD-2010], read.map(&:strip).sort, key
        assert_equal stock.sheet? ? 2 : 3, Dir["#{folder}/label*.pbm"].size, "the first stands on the last label"
      end
    end
  end

  # Bars that would run together are not drawn: the label says so.
  def test_a_number_too_long_for_bars
    long = "A-VERY-LONG-PART-NUMBER-1"
    pdf = Papers::ShelfLabel.new(shop: "Shop", labels: [{ name: "Filter", number: long, price: "$1" }]).render

    assert_match(/too long for bars/, Open3.capture2("pdftotext", "-", "-", stdin_data: pdf, binmode: true).first)
    assert_equal [""], read([long], 300)
  end
end
