# frozen_string_literal: true

require_relative "../../core_helper"

class FilterClassTest < CoreTest
  # EN 1822-1, table of classes: least overall efficiency at the most penetrating particle size, % (from memory).
  CLASSES = { "E10" => 85, "E11" => 95, "E12" => 99.5, "H13" => 99.95, "H14" => 99.995, "U15" => 99.9995,
              "U16" => 99.99995, "U17" => 99.999995 }.freeze
  # ISO 29463-1 names the same steps by their share: ISO 15 E is 95 %, ISO 25 E 99.5 %, ISO 35 H 99.95 %, ISO 45 H
  # 99.995 %, ISO 55 U 99.9995 % (from memory).
  ISO_GROUPS = { "E11" => 15, "E12" => 25, "H13" => 35, "H14" => 45, "U15" => 55 }.freeze

  def test_classes_hold_back_what_the_standard_says
    assert_equal CLASSES, Fit::FilterClass::PERCENT
  end

  # The first digit of an ISO group counts the nines of the share held back; those that end in 5 add a five.
  def test_the_steps_agree_with_the_names_of_the_iso_groups
    ISO_GROUPS.each do |name, group|
      nines = group / 10

      assert_in_delta 5 * (0.1**nines) * 10, 100 - Fit::FilterClass::PERCENT.fetch(name), 1e-6, name
    end
  end

  def test_only_h_and_u_are_hepa
    assert_equal %w[H13 H14 U15 U16 U17], CLASSES.keys.select { |name| Fit::FilterClass.hepa?(name) }
    refute Fit::FilterClass.hepa?(nil)
    assert_equal "E12 (EPA, holds back 99.5 % at the size that passes most easily)", Fit::FilterClass.words("E12")
  end

  def test_as_good_as_what_is_asked_for
    assert_equal [true, true, true, false, false], [%w[H13 H13], %w[H14 E11], ["E11", nil], [nil, "H13"], %w[E12 H13]]
      .map { |pair| Fit::FilterClass.as_good?(*pair) }
  end

  def test_an_epa_filter_is_no_answer_to_an_allergy
    wants = Fit::Wants.new(allergy: true)
    reasons = Fit::Reasons.new(position: position, machine: nil, wants: wants, lineage: nil, size: nil, fitted: nil)
    part = lambda { |filter_class|
      Fit::Part.new(id: 1, number: "F", name: "HEPA cassette, it says", kind: :filter, filter_class: filter_class)
    }

    assert_nil reasons.want(part.call("E12"))
    assert_equal Reason.of(:hepa, filter_class: "H13"), reasons.want(part.call("H13"))
  end
end
