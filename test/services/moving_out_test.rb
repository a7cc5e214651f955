# frozen_string_literal: true

# Group: slow (a whole shop out and in again)

require_relative "../test_helper"
require "zip"

# A shop in one file, and back.
class MovingOutTest < DatabaseTest
  def setup
    @folder = Pathname(Dir.mktmpdir)
    @file = @folder.join("shop.zip").to_s
  end

  def teardown
    @folder.rmtree
    super
  end

  def write(**more)
    Services::WriteArchive.call(@file, at: NOW, **more)
  end

  def read(store: Pictures::Store.new(@folder.join("pictures")))
    TestDatabase.empty_one("moved_in") do |env|
      Sequel.connect(env.fetch("DATABASE_OWNER_URL"), keep_reference: false) do |owner|
        owner.extension :pg_json, :pg_array
        yield Services::ReadArchive.call(@file, owner: owner, pictures: store), owner
      end
    end
  end

  def entries
    Zip::File.open(@file) { |zip| zip.map(&:name) }
  end

  def test_the_same_shop_again_table_by_table
    told = write
    read do |digests, owner|
      assert_equal told[:tables].to_h { |name, table| [name.to_s, table.values_at(:rows, :sha256)] }, digests
      assert_operator digests.size, :>, 50
      assert_operator digests.fetch("findings").first, :>, 100
      assert_equal Models::Bill.max(:number), owner[:bills].max(:number)
      assert_equal DB[:balances].order(*DB[:balances].columns).all, owner[:balances].order(*DB[:balances].columns).all
      assert_operator owner.get(Sequel.function(:nextval, "customers_id_seq")), :>, Models::Customer.max(:id)
      assert_raises(Sequel::DatabaseError, "history is history again") { owner[:events].update(verb: "rewritten") }
    end
  end

  # What would be left out by mistake is seen: every table is in it, or named as left out.
  def test_no_table_is_forgotten
    named = Services::ShopTables.new(DB).names + Services::ShopTables::LEFT_OUT

    assert_empty DB.tables - named
  end

  def test_nothing_secret_is_in_it
    write(bills: false)
    text = Zip::File.open(@file) { |zip| zip.map { |entry| entry.get_input_stream.read }.join }

    refute_includes text, owner.password_hash
    refute_includes text, "$2a$"
    assert_equal 0o600, File.stat(@file).mode & 0o777
  end

  def test_bills_sheets_and_what_it_is
    write

    assert_equal Models::Bill.count, entries.grep(%r{\Abills/.*\.pdf\z}).size
    assert_equal Models::Sheet.count, entries.grep(%r{\Asheets/}).size
    assert_includes entries, "README.txt"
    Zip::File.open(@file) do |zip|
      assert_equal "%PDF", zip.find_entry(entries.grep(/\Abills/).first).get_input_stream.read(4)
    end
  end

  def test_pictures_go_and_come
    store = Pictures::Store.new(@folder.join("there"))
    digest = "ab" * 32
    store.put(digest, :full, "picture")
    Pictures::Store.stub(:ours, store) { write(bills: false) }
    back = Pictures::Store.new(@folder.join("back"))

    read(store: back) { assert_equal "picture", back.path(digest, :full).binread }
  end

  def test_one_that_was_changed_is_not_taken
    write(bills: false)
    Zip::File.open(@file) do |zip|
      lines = zip.read("tables/customers.jsonl").sub(/"town":"[^"]*"/, '"town":"Elsewhere"')
      zip.get_output_stream("tables/customers.jsonl") { |out| out << lines }
    end

    assert_includes assert_raises(Services::Refused) { read { flunk } }.message, "customers"
  end

  def test_a_newer_one_and_what_is_none_are_refused
    File.write(@file, "not a zip")
    assert_raises(Services::Refused) { read { flunk } }
    write(bills: false)
    Zip::File.open(@file) do |zip|
      newer = JSON.parse(zip.read("manifest.json")).merge("version" => Config::SchemaVersion.newest + 1)
      zip.get_output_stream("manifest.json") { |out| out << JSON.generate(newer) }
    end

    assert_match(/newer program/, assert_raises(Services::Refused) { read { flunk } }.message)
  end
end
