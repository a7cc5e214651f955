# frozen_string_literal: true

require_relative "../test_helper"

# A list of parts: looked at first, taken over whole or not at all.
class ImportPartsTest < DatabaseTest
  def import(*lines)
    keep(lines.join("\r\n"))
  end

  def keep(text)
    @import = Services::KeepPartList.call(StringIO.new(text), by: owner, at: NOW)
  end

  def rows
    Services::ReadPartList.rows(@import)
  end

  def changes
    Services::PartChanges.new(rows)
  end

  def take(digest = changes.digest)
    Services::ImportParts.call(@import.refresh, digest: digest, by: owner, at: NOW)
  end

  def test_a_price_changes_and_nothing_else
    before = part("HD-2010").values
    import("number,price", "HD-2010,19.90")

    assert_equal [["HD-2010", { price_cents: [1650, 1990] }]],
      changes.changes.map { |change| [change.number, change.fields] }
    take

    assert_equal before.merge(price_cents: 1990), part("HD-2010").values
    assert_equal "changed by a list", Models::Event.where(subject: "parts", subject_id: before[:id])
      .reverse(:id).get(:verb)
  end

  def test_new_parts_with_their_supplier_and_successor
    import("number,name,kind,price,supplier,successor,barcode", "NX-1,Belt one,belt,3.50,Anchor Belts,NX-2,",
      "NX-2,Belt two,belt,\"4,00\",Anchor Belts,,200004619999#{Core::Shelf::Ean13.check_digit('200004619999')}")

    assert_equal [[true, true], ["Anchor Belts"]], [changes.changes.map(&:new?), changes.new_suppliers]
    take

    assert_equal [350, "Anchor Belts", part("NX-2").id, 1, 0],
      [part("NX-1").price_cents, part("NX-1").supplier.name, part("NX-1").successor_id,
       part("NX-1").pack_pieces, part("NX-1").stock]
  end

  def test_what_goes_out_comes_back_as_it_is
    keep(Formats::PartList.write(Models::Part.order(:number).eager(:supplier, :successor).map do |one|
      one.values.merge(supplier: one.supplier&.name, successor: one.successor&.number, on_shelf: one.stock)
    end))

    assert_equal [[], Models::Part.count], [changes.changes, changes.same]
  end

  def test_each_thing_that_stands_against_it_names_its_line
    import("number,name,kind,price,successor,barcode", "NX-1,,,,,1", "HD-2010,x,filter,1,HD-2010,",
      "HD-2020,x,filter,1,NO-1,", "HD-2030,x,roll,1,,#{part('HD-2010').barcode}")

    assert_raises(Formats::Malformed) { rows }
    import("number,successor", "NX-1,", "HD-2010,HD-2010", "HD-2020,NO-1")

    assert_equal ["Line 2: NX-1 is not on file, and a new part needs name and kind and price.",
                  "Line 3: a part does not take its own place.",
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

    assert_equal "taken_over", take("whatever").state, "once more is no other time"
  end

  def long_list
    Array.new(3000) { |n| "LL-#{n},Long listed part number #{n},belt,3.50" }.join("\n")
  end

  # What a long list takes is the worker's to do; the page keeps its pieces and looks how far it is.
  def test_a_long_list_is_read_and_taken_over_by_the_worker
    keep("number,name,kind,price\n#{long_list}\n")

    assert_equal ["kept", false], [@import.state, @import.short?]
    Services::ReadPartList::Work.run(@import.id)

    assert_equal ["read", 3000, 200], [@import.refresh.state, @import.reading["new"], @import.reading["shown"].size]
    Services::ImportParts.ask(@import, digest: @import.reading["digest"], by: owner, at: NOW)

    assert_equal ["taking_over", nil], [@import.refresh.state, part("LL-1")]
    Services::ImportParts::Work.run(@import.id, @import.reading["digest"], owner.id)

    assert_equal ["taken_over", 350, 0], [
      @import.refresh.state, part("LL-2999").price_cents,
      DB[:part_import_pieces].where(part_import_id: @import.id).count
    ]
  end

  def test_what_the_worker_refuses_is_shown_with_the_changes_as_they_are_by_now
    keep("number,name,kind,price\nHD-2010,x,filter,9\n#{long_list}\n")
    Services::ReadPartList.call(@import)
    seen = @import.reading["digest"]
    part("HD-2010").update(price_cents: 1)
    Services::ImportParts.ask(@import, digest: seen, by: owner, at: NOW)
    Services::ImportParts::Work.run(@import.id, seen, owner.id)

    assert_equal "read", @import.refresh.state
    assert_match(/look at the changes again/, @import.refused)
    refute_equal seen, @import.reading["digest"]
    assert_nil part("LL-1")
  end

  # Nothing that is larger than any list is read to its end.
  def test_bounds
    { "number,#{Array.new(70) { |n| "c#{n}" }.join(',')}\nA,b\n" => /71 columns; at most 60/,
      "number,name\nA,\"#{'x' * 9000}\n" => /Line 2/,
      "number,name\nA,#{'x' * 70_000}\n" => /Line 2: it is longer than 64 kB/,
      "number,name\nA,#{'x' * 5000}\n" => /more than 4000 letters/,
      "number\n#{"!\n" * 400}" => /read no further/,
      "number\n#{Array.new(Formats::PartList::MOST + 1) { |n| "A#{n}" }.join("\n")}" => /more than 50000 rows/ }
      .each do |text, words|
      import = keep(text)
      Services::ReadPartList.call(import) unless import.short?

      assert_equal "bad", import.refresh.state, words.inspect
      assert_match words, import.problems.join(" ")
    end
  end

  # Windows-1252 leaves 81 open; E9 is é there.
  def test_bytes_that_are_no_text
    import = keep("number,name,kind,price\nNX-9,caf\xE9 \x81,belt,3\n".b)

    assert_equal "café \uFFFD", import.reading["shown"].first["name"]
  end

  def test_all_or_nothing
    import("number,barcode", "HD-2010,#{part('HD-2020').barcode}", "HD-2020,#{part('HD-2010').barcode}")
    before = Models::Part.order(:id).select_map(%i[number barcode])

    assert_raises(Services::Refused) { take }
    assert_equal before, Models::Part.order(:id).select_map(%i[number barcode])
  end
end
