# frozen_string_literal: true

require_relative "../test_helper"

# Keys by purpose and with a number; a new one ends nothing that is good.
class KeysTest < AppTest
  DAY = Date.new(2026, 3, 31)
  SECRET = "s" * 64

  def folder
    Dir.mktmpdir("keys") { |path| yield File.join(path, "keys.json") }
  end

  def read(path, day = DAY)
    Config::Keys.read(path, today: day)
  end

  def test_a_file_has_a_key_for_each_purpose_and_is_for_its_owner_alone
    folder do |path|
      assert Config::Keys.make(path, today: DAY)
      refute Config::Keys.make(path, today: DAY), "and is never made over"
      keys = read(path)

      assert_equal 5, Config::Keys::LIVES.keys.map { |purpose| keys.newest(purpose) }.uniq.size
      assert(Config::Keys::LIVES.keys.all? { |purpose| keys.newest(purpose).bytesize == 64 })
      assert_equal "100600", File.stat(path).mode.to_s(8)
    end
  end

  # A file from before there was a purpose gets a key for it, and keeps the others.
  def test_a_purpose_that_is_new_gets_a_key
    folder do |path|
      Config::Keys.make(path, today: DAY)
      rows = JSON.parse(File.read(path))
      File.write(path, JSON.generate(rows.except("registrations")))

      refute Config::Keys.make(path, today: DAY)
      assert_equal [[1], rows["cards"].first["key"]],
        [read(path).accepted(:registrations).keys, read(path).newest(:cards).unpack1("H*")]
    end
  end

  def test_what_an_old_key_signed_is_read_until_it_has_run_out
    folder do |path|
      Config::Keys.make(path, today: DAY)
      code = Formats::SignedCode.new(read(path).accepted(:cards)).write(7, DAY + 100)
      slips = read(path).newest(:slips)
      Config::Keys.renew(path, :cards, today: DAY)
      after = DAY + Config::Keys::LIVES.fetch(:cards)

      assert_equal 7, Formats::SignedCode.new(read(path).accepted(:cards)).read(code, today: DAY)
      assert_equal [[2, 1], [2]], [read(path, after).accepted(:cards).keys, read(path, after + 1).accepted(:cards).keys]
      assert_equal slips, read(path).newest(:slips), "other purposes do not notice"
    end
  end

  # What was printed while there was one secret for everything stays good when a file takes its place.
  def test_from_one_secret_to_a_file
    old = Config::Keys.of_one_secret(SECRET, today: DAY)
    code = Formats::SignedCode.new(old.accepted(:slips)).write(9, DAY + 50)
    folder do |path|
      Config::Keys.make(path, today: DAY, secret: SECRET)
      keys = read(path)

      assert_equal 9, Formats::SignedCode.new(keys.accepted(:slips)).read(code, today: DAY)
      assert_equal SECRET, keys.before(:session)
      refute_equal SECRET, keys.newest(:session)
    end
  end

  def test_no_more_at_once_than_a_code_has_room_for
    folder do |path|
      Config::Keys.make(path, today: DAY)
      3.times { Config::Keys.renew(path, :cards, today: DAY) }

      assert_equal [4, 3, 2, 1], read(path).accepted(:cards).keys
      assert_raises(ArgumentError) { Config::Keys.renew(path, :cards, today: DAY) }
      Config::Keys.renew(path, :cards, today: DAY + 501)

      assert_equal [5, 4], read(path, DAY + 501).accepted(:cards).keys
    end
  end

  def test_files_and_purposes_that_are_none
    folder do |path|
      assert_nil read(path)
      assert_raises(ArgumentError) { Config::Keys.renew(path, :cards, today: DAY) }
      File.write(path, '{"cards":[]}')

      assert_raises(ArgumentError) { read(path) }
      File.write(path, "no json")

      assert_raises(ArgumentError) { read(path) }
      assert_raises(ArgumentError) { Config::Keys.renew(path, :nothing, today: DAY) }
    end
  end
end
