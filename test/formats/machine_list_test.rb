# frozen_string_literal: true

require_relative "../test_helper"

# RFC 4180, section 2: quoted fields, doubled quotes, CRLF; and what spreadsheets of half of the world write.
class MachineListTest < AppTest
  def read(text)
    Formats::MachineList.new(text).call
  end

  def problems(text)
    assert_raises(Formats::Malformed) { read(text) }.problems.join("\n")
  end

  def test_reads_what_the_standard_allows
    rows = read("maker,model,serial_number,complaint\r\nOstrel,Stride 36,K-1,\"says \"\"weak\"\", and " \
                "smells\"\r\n\r\nOstrel,\"Stride 36\",K-2,\r\n")

    assert_equal ["says \"weak\", and smells", nil], rows.map { |row| row[:complaint] }
    assert_equal [2, 4], rows.map { |row| row[:line] }
  end

  def test_semicolons_tabs_a_mark_at_the_start_and_columns_in_any_order
    [";", "\t"].each do |sign|
      row = read("\uFEFFSerial number#{sign}Hours per week#{sign}MAKER#{sign}Model#{sign}Bought " \
                 "on\nK-1#{sign}2,5#{sign}Ostrel#{sign}Stride 36#{sign}2024-05-01").first

      assert_equal [2.5, Date.new(2024, 5, 1), "K-1"], row.values_at(:hours_per_week, :bought_on, :serial_number)
    end
  end

  def test_every_problem_names_its_line
    found = problems("maker,model,serial_number,bought_on,hours_per_week\nOstrel,Stride 36,,2024-13-01,lots\n,,K-3,,")

    ["Line 2: serial_number is missing", "Line 2: bought_on must be a day", "Line 2: hours_per_week",
     "Line 3: maker is missing"].each { |words| assert_includes found, words }
    assert_includes problems("maker,serial_number\nOstrel,K"), "Line 1: there is no column model"
    assert_includes problems("maker,model,serial_number\n\"Ostrel,Stride"), "Line 2"
    assert_includes problems("maker,model,serial_number\n"), "The list is empty"
    assert_includes problems(""), "Line 1"
    assert_includes problems("maker,model,serial_number\n#{"O,S,K\n" * 501}"), "at most 500"
  end

  # A cell may go over several lines (RFC 4180, rule 6); what comes after it stands where it stands.
  def test_lines_are_those_of_the_file
    assert_includes problems("maker,model,serial_number,complaint\nO,S,K-1,\"weak,\nand loud\"\nO,S,,\n"),
      "Line 4: serial_number is missing"
  end
end
