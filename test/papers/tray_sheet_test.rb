# frozen_string_literal: true

# Needs: poppler-utils zbar-tools

require "open3"
require_relative "../test_helper"

# The sheet under a strip-down, measured in the PDF: every screw is as long and as thick as it is.
class TraySheetTest < AppTest
  POINTS = 25.4 / 72 # millimetres in one

  def sheet(title)
    Dir[File.join(TestDatabase::ROOT, "demo/sheets/*.json")]
      .map { |file| Core::Sheets::Parse.new(JSON.parse(File.read(file))).call }.find { |one| one.title == title }
  end

  def lanes(title)
    sheet(title).steps.select(&:counted?).map { |step| [step, Core::Strip::Piece.of(step)] }
  end

  def paper(lanes)
    Papers::TraySheet.new(number: 1207, about: "Dart M, Wendel", date: "28 Nov 2026", lanes: lanes)
  end

  # @return [Array<Array(Float, Float)>] width and height in millimetres of each rectangle drawn
  def rectangles(pdf)
    pdf.scan(/[\d.-]+ [\d.-]+ ([\d.-]+) ([\d.-]+) re$/)
      .map { |sides| sides.map { |side| (side.to_f.abs * POINTS).round(2) } }
  end

  def test_each_screw_is_drawn_at_its_size
    ["Hallmoor Dart M", "Ostrel Stride 36", "Ostrel Stride 40 Cup", "Corvane Drum 30"].each do |title|
      drawn = rectangles(paper(lanes(title)).render).tally
      screws = lanes(title).flat_map { |step, _| step.loose }.select { |held| held.kind == "screw" }
      wanted = screws.group_by { |held| [held.diameter_mm.to_f, held.length_mm.to_f] }
        .transform_values { |held| held.sum(&:count) }

      wanted.each { |size, count| assert_equal count, drawn[size], "#{title}: #{size.join(' × ')} mm" }
    end
  end

  def test_words_and_a_code_that_scans
    pdf = paper(lanes("Hallmoor Dart M")).render
    text, = Open3.capture2("pdftotext", "-layout", "-", "-", stdin_data: pdf, binmode: true)
    text.force_encoding("UTF-8")
    image, = Open3.capture2("pdftoppm", "-r", "200", "-png", "-", stdin_data: pdf, binmode: true)
    code, = Open3.capture2("zbarimg", "-q", "--nodbus", "--raw", "-", stdin_data: image, binmode: true)

    ["Tray 1207", "Print at 100 %", "7 × T8, 8 mm", "4 × T10, 14 mm", "cyclone gasket", "clip ring"]
      .each { |words| assert_includes text, words }
    assert_equal "J1207", code.strip
  end

  # However much comes off, each lane stays whole on a page.
  def test_many_lanes_take_more_pages
    many = lanes("Hallmoor Dart M") * 6

    assert_equal 297, (paper(many).render[%r{/MediaBox \[0 0 [\d.]+ ([\d.]+)\]}, 1].to_f * POINTS).round
    assert_operator paper(many).make.pages, :>, 2
    assert_equal 6 * 11, rectangles(paper(many).render).count { |size| [[2.5, 8.0], [3.0, 14.0]].include?(size) }
  end

  # What was explained as missing is not drawn.
  def test_fewer_than_the_sheet_says
    step = sheet("Hallmoor Dart M").step("housing")
    pieces = Core::Strip::Piece.of(step).map { |piece| piece.key == "fastener-1" ? piece.with(count: 3) : piece }

    assert_equal 3, rectangles(paper([[step, pieces]]).render).count { |size| size == [3.0, 14.0] }
  end
end
