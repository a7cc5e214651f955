# frozen_string_literal: true

require_relative "../test_helper"

# A list of parts: looked at first, taken over whole or not at all.
class ImportPartsTest < DatabaseTest
  def import(*lines)
    @import = Models::PartImport.create(content: lines.join("\r\n"), given_by: owner.id, given_at: NOW)
  end

  def rows
    Formats::PartList.new(@import.content).call
  end

  def changes
    Services::PartChanges.new(rows)
  end

  def take(digest = changes.digest)
    Services::ImportParts.call(@import, rows, digest: digest, by: owner, at: NOW)
  end

  def test_a_price_changes_and_nothing_else
    before = part("HD-2010").values
    import("number,price", "HD-2010,19.90")

    assert_equal [["HD-2010", { price_cents: [1650, 1990] }]], changes.changes.map { |change| [change.number, change.fields] }
    take

    assert_equal before.merge(price_cents: 1990), part("HD-2010").values
    assert_equal "changed by a list", Models::Event.where(subject: "parts", subject_id: before[:id]).get(:verb)
  end

  def test_new_parts_with_their_supplier_and_successor
    import("number,name,kind,price,supplier,successor,barcode", "NX-1,Belt one,belt,3.50,Anchor Belts,NX-2,", "NX-2,Belt two,belt,\"4,00\",Anchor Belts,,200004619999#{Core::Shelf::Ean13.check_digit('200004619999')}")

    assert_equal [[true, true], ["Anchor Belts"]], [changes.changes.map(&:new?), changes.new_suppliers]
    take

    assert_equal [350, "Anchor Belts", part("NX-2").id, 1, 0],
                 [part("NX-1").price_cents, part("NX-1").supplier.name, part("NX-1").successor_id, part("NX-1").pack_pieces, part("NX-1").stock]
  end

  def test_what_goes_out_comes_back_as_it_is
    @import = Models::PartImport.create(content: Formats::PartList.write(Models::Part.order(:number).eager(:supplier, :successor).map do |one|
      one.values.merge(supplier: one.supplier&.name, successor: one.successor&.number, on_shelf: one.stock)
    end), given_by: owner.id, given_at: NOW)

    assert_equal [[], Models::Part.count], [changes.changes, changes.same]
  end

  def test_each_thing_that_stands_against_it_names_its_line
    import("number,name,kind,price,successor,barcode", "NX-1,,,,,1", "HD-2010,x,filter,1,HD-2010,", "HD-2020,x,filter,1,NO-1,", "HD-2030,x,roll,1,,#{part('HD-2010').barcode}")

    assert_raises(Formats::Bad) { rows }
    import("number,successor", "NX-1,", "HD-2010,HD-2010", "HD-2020,NO-1")

    assert_equal ["Line 2: NX-1 is not on file, and a new part needs name and kind and price.", "Line 3: a part does not take its own place.",
                  "Line 4: successor NO-1 is neither on file nor in the list."], changes.problems
    assert_raises(Services::Refused) { take }
    import("number,barcode", "HD-2020,#{part('HD-2010').barcode}")

    assert_match(/belongs to HD-2010/, changes.problems.join)
  end

  def test_successors_in_a_ring
    import("number,successor", "HD-2010,HD-2020", "HD-2020,HD-2010")

    assert_equal 2, changes.problems.size
  end

  def test_what_changed_since_it_was_looked_at_is_looked_at_again
    import("number,price", "HD-2010,19.90")
    seen = changes.digest
    part("HD-2010").update(price_cents: 1)

    assert_match(/look at the changes again/, assert_raises(Services::Refused) { take(seen) }.message)
    take

    assert_nil take("whatever")
  end

  def test_all_or_nothing
    import("number,barcode", "HD-2010,#{part('HD-2020').barcode}", "HD-2020,#{part('HD-2010').barcode}")
    before = Models::Part.order(:id).select_map(%i[number barcode])

    assert_raises(Services::Refused) { take }
    assert_equal before, Models::Part.order(:id).select_map(%i[number barcode])
  end
end
