# frozen_string_literal: true

require_relative "../test_helper"

class FindFitTest < DatabaseTest
  def found(text)
    Services::FindFit.call(text)
  end

  def test_a_model_by_parts_of_its_name
    assert_equal ["Brackwater Loft C", "Brackwater Loft K"], found("loft brack").sheets.map(&:title)
    assert_equal "Brackwater Loft K", found("loft k").sheets.first.title
  end

  def test_a_part_by_number_name_and_barcode
    assert_equal "HD-2010", found("hd-2010").parts.first.number
    assert_includes found("cassette charcoal").parts.map(&:number), "BW-5033"
    assert_equal ["HD-2010"], found(part("HD-2010").barcode).parts.map(&:number)
  end

  def test_a_misread_barcode_is_told_and_finds_nothing
    misread = part("HD-2010").barcode.sub(/.\z/) { |digit| ((digit.to_i + 1) % 10).to_s }

    assert_match(/scan it again/, found(misread).problem)
    assert_empty found(misread).parts
  end

  def test_two_measured_sides_however_they_are_written
    ["332 x 10", "332x10", "332×10 mm", "belt 332 by 10", "332 mm * 10 mm", "10 332", "332,0 x 10"].each do |text|
      assert_equal "OS-3620", found(text).sized.find(&:fits).part.number, text
    end
    wide = found("332 x 10").sized.find { |match| match.part.number == "PT-4022" }

    assert_equal [false, "width 11 mm, 1 mm more than here (0.5 mm allowed)"], [wide.fits, English::Sentences.row_of(wide.reasons)]
    assert_includes found("182 58").sized.select(&:fits).map { |match| match.part.number }, "OS-3640"
  end

  def test_junk_finds_nothing
    ["%%", "x", "", "9999 x 9999", "☃☃", "'; drop"].each { |text| assert_predicate found(text), :empty?, text }
  end

  def test_which_models_a_part_fits_also_through_what_it_took_the_place_of
    fits = Services::FitsOf.call(part("HD-1011"))

    assert_equal [["Hallmoor Dart S", "HD-1008"]], fits.map { |fit| [fit.rule.model_title, fit.through.number] }
    assert_nil Services::FitsOf.call(part("HD-2010")).first.through
    part("HD-1011").update(successor_id: part("HD-1008").id) # a circle ends

    assert_equal 1, Services::FitsOf.call(part("HD-1011")).size
  end
end
