# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# The shelf's screens: what to order, orders, suppliers, counting, and parts as a file.
class ShelfScreensTest < DatabaseTest
  include AsStaff

  def setup
    sign_in
    @part = part("HD-2010")
  end

  def make_short(level: 7)
    Services::CountStock.call(@part, pieces: 2, reason: "test", by: owner, at: NOW)
    DB[:part_forecasts].where(part_id: @part.id).delete
    DB[:part_forecasts].insert(part_id: @part.id, days: 10, from_dues: 2.5, from_walk_ins: 1.5, level: level,
      weeks: Sequel.pg_array([0.5] * 13, :real), walk_ins_a_week: 1,
      tasks: 6)
  end

  def test_a_part_is_said_to_fit_a_place_and_no_longer
    sheet = sheet("Hallmoor Dart M")
    typed = { "sheet_id" => sheet.id.to_s, "position" => "bin-seal", "number" => "none", "said_by" => "supplier" }
    submit "/shelf/fits", typed

    assert_says(/is not on file/)
    submit "/shelf/fits", { **typed, "number" => part("BW-5040").barcode, "note" => "a little stiff" }
    rule = Models::FitRule.first(part_id: part("BW-5040").id, model_title: "Hallmoor Dart M")
    submit "/shelf/fits", { **typed, "number" => "bw-5040" }

    assert_says(/is listed here already/)
    get "/shelf/#{rule.part_id}"

    assert_says(/list, today: a little stiff/)
    submit "/shelf/fits/#{rule.id}/end", {}

    assert_nil Models::FitRule[rule.id]
    submit "/shelf/fits", { **typed, "position" => "attic", "number" => "BW-5040" }

    assert_says(/There is no such place/)
  end

  def test_a_part_is_put_on_file_and_changed
    typed = { "number" => "zz-9", "name" => "Seal", "kind" => "seal", "price" => "9,90", "cost" => "" }
    submit "/shelf/parts", { **typed, "price" => "9,9o", "barcode" => "12" }

    assert_says(/Price is a sum/)
    assert_says(/Barcode is not thirteen digits/)
    submit "/shelf/parts", typed
    part = part("ZZ-9")
    get "/shelf/#{part.id}/change"

    assert_says(/value="9.90"/)
    submit "/shelf/#{part.id}/change", { **typed, "contents" => "bags", "attributes" => "clip" }

    assert_says(/Attributes are written as/)
    assert_says(/Contents are written as/)
    submit "/shelf/#{part.id}/change", { **typed, "number" => "OTHER", "price" => "$11", "contents" => "bag: 5",
                                                  "attributes" => "clip: yes", "lies_at" => "drawer 4" }

    kept = part.refresh

    assert_equal [1100, "ZZ-9", "drawer 4"], kept.values.values_at(:price_cents, :number, :lies_at)
    assert_equal [{ "bag" => 5 }, { "clip" => true }], [kept.contents.to_hash, kept[:attributes].to_hash]
    get "/shelf/#{part.id}"

    assert_says(/\$11\.00 since today/)
  end

  # By its kind: what tells such parts apart, and what is known of those on file.
  def test_what_is_asked_of_a_part_goes_by_its_kind
    get "/shelf/parts/asked?kind=belt"

    assert_includes page, 'name="length_mm"'
    refute_includes page, 'name="diameter_mm"'
    get "/shelf/parts/asked?kind=roll&has[drive]=mini"

    assert_includes page, '<option value="mini" selected>'
    part = Models::Part.first(kind: "roll")
    typed = Screens::Shelf::PartForm.typed_from(part).compact
    before = part.measures.to_hash.merge("width_mm" => 3.0).tap { |all| part.update(measures: Sequel.pg_jsonb(all)) }
    submit "/shelf/#{part.id}/change", typed.except("width_mm").merge("has" => { "drive" => "left" },
      "attributes" => "sleeve: felt")

    assert_equal [{ "drive" => "left", "sleeve" => "felt" }, before],
      [part.refresh[:attributes].to_hash, part.measures.to_hash]
    submit "/shelf/#{part.id}/change", typed.merge("has" => { "dri(ve" => "left" })

    assert_equal 422, status
  end

  def test_what_is_short_says_why_and_is_ordered
    make_short
    get "/shelf/short"

    assert_says(/2\.5 due and 1\.5 walk-ins in 10 days: target 7/)
    key = page[/name="request_key" value="([^"]+)"/, 1]
    submit "/shelf/short/#{@part.supplier_id}", { "request_key" => key, "pieces" => { @part.id.to_s => "5" } },
      from: "/shelf/short"
    number = last_response["location"][/\d+\z/]
    get "/shelf/orders/#{number}"

    assert_says(/Pre-motor filter, Dart M/)
    get "/shelf/orders/#{number}/order.csv"

    costs = [1, 5].map { |pieces| format("%.2f", @part.cost_cents * pieces / 100.0) }.join(",")

    assert_equal "number,name,maker,barcode,pieces,packs,cost,cost_together\r\n" \
                 "HD-2010,\"#{@part.name}\",#{@part.maker},#{@part.barcode},5,5,#{costs}\r\n", page
    get "/shelf/orders/#{number}/order.pdf"

    assert page.start_with?("%PDF")
    get "/shelf/short"

    refute_includes page, "pieces-#{@part.id}"
  end

  def test_an_order_of_nothing_or_of_nonsense
    make_short
    get "/shelf/short"
    key = page[/name="request_key" value="([^"]+)"/, 1]
    { "0" => /at least one part/, "many" => /whole numbers/ }.each do |typed, words|
      submit "/shelf/short/#{@part.supplier_id}", { "request_key" => key, "pieces" => { @part.id.to_s => typed } },
        from: "/shelf/short"

      assert_equal 422, status
      assert_says(words)
      assert_includes page, %(value="#{typed}")
    end
  end

  def test_what_came_is_put_on_the_shelf_line_by_line
    order = Services::PlaceOrder.call(@part.supplier, pieces: { @part.id => 3 }, request_key: SecureRandom.uuid,
      by: owner, at: NOW)
    path = "/shelf/orders/#{order.number}"
    before = @part.stock
    get path
    submit "#{path}/receive", { "request_key" => SecureRandom.uuid, "pieces" => { order.lines.first.id.to_s => "2" } },
      from: path

    assert_equal before + 2, @part.refresh.stock
    get path

    assert_says(/of 1/)
    submit "#{path}/close", {}, from: path
    get path

    assert_says(/1 piece never came/)
  end

  def test_the_first_look_of_the_day_has_the_shelf_reckoned
    Models::ForecastRun.dataset.update(finished_at: in_days(-3))
    get "/shelf/short"

    assert_says(/Updating since/)
    assert_equal 1, DB[:que_jobs].where(job_class: "UprightBench::Services::ForecastShelf::Work").count
  end

  def test_the_parts_page_says_what_makes_the_level_up
    make_short
    get "/shelf/#{@part.id}"

    ["Why 7?", "3 until a delivery, 7 until the next order", "6 tasks falling due", "Order 5"]
      .each { |words| assert_includes page.gsub(/\s+/, " "), words }
    assert_match(/run out in the week of/, page)
  end

  def test_a_part_is_ordered_by_hand
    id = part("HD-2010").id
    key = SecureRandom.uuid
    2.times { submit "/shelf/#{id}/order", { "ordered" => "7", "request_key" => key }, from: "/shelf/#{id}" }

    assert_equal [303, [7]], [status, Models::OrderLine.where(part_id: id).reverse(:id).limit(1).select_map(:pieces)]
    assert_equal 1, Models::SupplierOrder.where(request_key: key).count
    submit "/shelf/#{id}/order", { "ordered" => "0", "request_key" => key }, from: "/shelf/#{id}"

    assert_equal 422, status
    assert_says(/The number of pieces must be/)
    part("HD-2010").update(supplier_id: nil)
    submit "/shelf/#{id}/order", { "ordered" => "1", "request_key" => SecureRandom.uuid }, from: "/shelf/#{id}"

    assert_equal 422, status
    assert_says(/Say who supplies it/)
  end

  def test_suppliers_are_put_on_file_and_changed
    submit "/shelf/suppliers", { "name" => "Anchor Belts", "lead_days" => "12" }, from: "/shelf/suppliers"
    supplier = Models::Supplier.first(name: "Anchor Belts")
    submit "/shelf/suppliers", { "id" => supplier.id.to_s, "name" => @part.supplier.name, "email" => "nobody",
      "lead_days" => "-1" }, from: "/shelf/suppliers"

    assert_equal 422, status
    assert_equal 2, page.scan("field-error\" id").size
    submit "/shelf/suppliers", { "id" => supplier.id.to_s, "name" => @part.supplier.name, "lead_days" => "12" },
      from: "/shelf/suppliers"

    assert_says(/belongs to another supplier/)
  end

  def test_counting
    submit "/shelf/count/begin", {}, from: "/shelf/count"
    submit "/shelf/count/scan", { "code" => @part.barcode }, from: "/shelf/count"
    submit "/shelf/count/scan", { "code" => "nothing" }, from: "/shelf/count"

    assert_equal 422, status
    assert_says(/No part on file has the code nothing/)
    submit "/shelf/count/scan", { "code" => @part.number, "pieces" => "4" }, from: "/shelf/count"
    submit "/shelf/count/write", {}, from: "/shelf/count"

    assert_equal 4, @part.refresh.stock
    get "/shelf/count"

    assert_says(/Start a count/)
  end

  def test_parts_as_a_file_out_and_in_again_with_one_change
    get "/shelf/list.csv"
    text = page.force_encoding("UTF-8")

    assert_equal Models::Part.count + 1, CSV.parse(text).size
    submit "/shelf/list", { "list" => text.sub(/^(HD-2010,.*?),16\.50,/, '\1,17.50,') }, from: "/shelf/list"
    path = URI(last_response["location"]).path
    get path

    assert_says(/price \$16\.50 → \$17\.50/)
    assert_includes page, "<b>1</b> changed"
    submit path, { "digest" => page[/name="digest" value="(\h+)"/, 1] }, from: path

    assert_equal 1750, @part.refresh.price_cents
    get path

    assert_says(/Applied/)
  end

  def test_a_list_with_mistakes_names_their_lines_and_changes_nothing
    submit "/shelf/list", { "list" => "number,price\nHD-2010,lots\n" }, from: "/shelf/list"

    assert_equal 422, status
    assert_says(/Line 2: price must be money/)
    assert_keeps "HD-2010,lots"
    submit "/shelf/list", { "list" => "number,price\nNEW-1,3\n" }, from: "/shelf/list"
    get last_response["location"]

    assert_says(/Line 2: NEW-1 is not on file/)
    refute_includes page, "Take it over"
  end

  def test_a_suppliers_list_is_told_once_what_its_columns_are
    supplier = Models::Supplier.create(name: "Kupplung & Sohn")
    lines = "Art.-Nr.;Bezeichnung;Preis;Farbe\nks-1;F\xFChrung;3,50;rot\n".b
    send_list(lines, supplier)
    path = last_response["location"][%r{/shelf/list/\d+}]
    get path

    assert_says(/None of its columns is known/)
    get "#{path}/columns"

    assert_match(/value="number" selected/, page)
    columns = { "0" => "number", "1" => "name", "2" => "price", "3" => "", "9" => "name" }
    submit "#{path}/columns", { "columns" => columns, "kind" => "seal" }, from: "#{path}/columns"
    get path

    assert_says(/Left aside: farbe/)
    assert_says(/Führung/)
    submit path, { "digest" => page[/name="digest" value="(\h+)"/, 1] }, from: path
    kept = part("KS-1")

    assert_equal ["Führung", "seal", supplier.id, 350],
      kept.values.values_at(:name, :kind, :supplier_id, :price_cents)
    send_list(lines.sub("3,50", "4,00"), supplier)
    get last_response["location"]

    assert_says(/\$3\.50 → \$4\.00/)
  end

  def send_list(lines, supplier)
    file = Rack::Test::UploadedFile.new(StringIO.new(lines), "text/csv", original_filename: "list.csv")
    submit "/shelf/list", { "list_file" => file, "supplier_id" => supplier.id.to_s }, from: "/shelf/list"
  end

  def test_shelf_labels
    { "part=#{@part.id}" => 1, "q=Dart+M" => Models::Part.where(Sequel.ilike(:name, "%Dart M%")).count }.each do |query,
      pages|
      get "/shelf/labels.pdf?#{query}"

      assert_equal pages, page.scan(%r{/Type /Page\b}n).size
    end
    get "/shelf/labels.pdf?q=nothing-of-the-sort"

    assert_equal 404, status
  end

  def test_further_parts_by_the_number_last_seen
    get "/shelf?after=TO-8000"

    refute_includes page, "HD-2010"
    assert_includes page, "TO-9030"
  end
end
