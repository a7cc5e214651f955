# frozen_string_literal: true

require_relative "../test_helper"

# Models page by page, and what is known of parts.
class SheetQueriesTest < DatabaseTest
  def add(maker, name)
    Models::Sheet.create(maker: maker, model_name: name, current_version_id: Models::SheetVersion.get(:id))
  end

  def pages(query = "")
    seen = []
    loop do
      page = Queries::SheetList.new(query, seen.last&.id)
      seen.concat(page.sheets)
      return seen unless page.more?
    end
  end

  # Page by page the list shows each model once, also where a page ends between two makers' models of one name.
  def test_every_model_once_and_in_order
    (Queries::SheetList::PAGE + 2).times { |n| add("Zz#{n / 5}", "Model #{n % 5}") }
    seen = pages

    assert_equal Models::Sheet.order(:maker, :model_name).select_map(:id), seen.map(&:id)
    assert_equal(Models::Sheet.where(maker: "Zz1").order(:model_name).select_map(:id), pages("zz1").map(&:id))
    assert_equal pages("model zz2").map(&:id), pages("ZZ2 mod").map(&:id)
    assert_equal 5, pages("model zz2").size
  end

  def test_what_is_a_sign_to_the_database_is_none_in_a_name
    add("Zz", "100% Wool_")

    assert_equal ["Zz 100% Wool_"], pages("%").map(&:title)
    assert_equal ["Zz 100% Wool_"], pages("l_").map(&:title)
    assert_empty pages("\\")
    assert_equal pages.map(&:id), pages("\u0000 ").map(&:id)
    assert_equal pages.first(Queries::SheetList::PAGE).map(&:id), Queries::SheetList.new("", "1; --").sheets.map(&:id)
  end

  def test_what_is_asked_of_a_kind_is_what_its_parts_have_and_its_places_want
    known = Queries::AttributesKnown.of("brush")
    of_parts = Models::Part.where(kind: "brush").map { |one| one.attributes.to_h }
    places = Models::Sheet.all.flat_map { |one| one.to_core.positions.select { |place| place.kind == :brush } }
    wanted = [*of_parts, *places.map(&:attributes)].flat_map(&:to_a).group_by { |name, _| name.to_s }
      .transform_values { |pairs| pairs.map { |_, value| value.to_s }.uniq.sort }

    refute_empty known
    assert_equal wanted, known.transform_values { |values| values.map(&:to_s).sort }
    assert_empty Queries::AttributesKnown.of("no such kind")
  end

  def test_a_part_is_found_page_by_page_and_all_are_in_the_file
    numbers = Models::Part.order(:number).select_map(:number)
    first = Queries::PartsOnShelf.call("")
    rest = Queries::PartsOnShelf.call("", after: numbers[1])

    assert_equal numbers.first(Queries::PartsOnShelf::PAGE), first.map(&:number)
    assert_equal numbers.drop(2).first(Queries::PartsOnShelf::PAGE), rest.map(&:number)
    assert_equal numbers, Queries::PartsOnShelf.for_a_file.map { |row| row[:number] }
    one = Models::Part.exclude(supplier_id: nil).order(:number).first
    row = Queries::PartsOnShelf.for_a_file.find { |line| line[:number] == one.number }

    assert_equal [one.supplier.name, one.stock], row.values_at(:supplier, :on_shelf)
  end

  def test_suppliers_say_how_many_parts_come_from_each
    none = Models::Supplier.create(name: "Aa Nobody's")
    rows = Queries::SuppliersOnFile.call

    assert_equal 0, rows.find { |row| row.id == none.id }.parts
    assert_equal Models::Part.exclude(supplier_id: nil).count, rows.sum(&:parts)
    assert_equal none.id, rows.first.id
  end
end
