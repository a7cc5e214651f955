# frozen_string_literal: true

require_relative "../test_helper"

# One part put on file and changed by hand, as a list would.
class KeepPartTest < DatabaseTest
  FRESH = { name: "Seal, Trough 9", kind: "seal", price_cents: 990, pack_pieces: 1, pattern: false,
            discontinued: false }.freeze

  def keep(number, fields, measures: {}, by: owner, **more)
    Services::KeepPart.call(number, fields, measures: measures, by: by, at: NOW, **more)
  end

  def refused(...)
    assert_raises(Services::Invalid) { keep(...) }.errors
  end

  def test_a_new_part_with_a_new_supplier_and_its_size
    part = keep("ZZ-1", { **FRESH, supplier: "Gull Parts", successor: "HD-2010" }, measures: { "length_mm" => 90.0 })

    assert_equal ["Seal, Trough 9", "Gull Parts", "HD-2010", 90.0],
      [part.name, part.supplier.name, part.successor.number, part.measures["length_mm"]]
    assert_equal "put on file by hand", Models::Event.where(subject: "parts", subject_id: part.id).get(:verb)
  end

  def test_a_changed_price_says_since_when
    part = part("HD-2010")
    before = part.price_cents

    assert_nil Queries::PartOverview.new(part).price_change
    keep(part.number, { price_cents: before + 100 }, part: part)
    change = Queries::PartOverview.new(part.refresh).price_change

    assert_equal [before, before + 100, owner.name], [change.before, change.after, change.by]
    assert_equal before + 100, part.price_cents
  end

  def test_measures_that_are_not_asked_for_stay
    belt = Models::Part.all.find { |one| one.measures.to_hash.any? }
    keep(belt.number, {}, measures: { "diameter_mm" => 12.0, "width_mm" => nil }, part: belt)

    assert_in_delta 12.0, belt.refresh.measures["diameter_mm"]
    refute belt.measures.key?("width_mm")
  end

  def test_what_stands_against_it
    assert_equal ["is on file already: change that part"], refused("HD-2010", FRESH).fetch(:number)
    assert_match(/neither on file/, refused("ZZ-2", { **FRESH, successor: "NO-1" }).fetch(:base).join)
    barcode = part("HD-2010").barcode

    assert_match(/belongs to HD-2010/, refused("ZZ-3", { **FRESH, barcode: barcode }).fetch(:base).join)
    assert_empty Models::Part.where(number: %w[ZZ-2 ZZ-3]).all
    counter = Models::Person.first(role: "counter")

    assert_raises(Services::Forbidden) { keep("ZZ-4", FRESH, by: counter) }
  end
end
