# frozen_string_literal: true

# Group: slow (clusters of its own)

require "open3"
require "stringio"
require_relative "../test_helper"
require_relative "../../launch/backup/command"

# Everything of a shop in one file that nobody else can read, and back again.
class BackupTest < AppTest
  Vault = Launch::Backup::Vault
  PHRASE = "four kettles on a quay"

  def locked(text, passphrase = PHRASE)
    out = StringIO.new("".b)
    Vault.lock(StringIO.new(text), out, passphrase)
    out.string
  end

  def unlocked(bytes, passphrase = PHRASE)
    out = StringIO.new("".b)
    Vault.unlock(StringIO.new(bytes), out, passphrase)
    out.string
  end

  def refused(bytes, passphrase = PHRASE)
    assert_raises(Launch::Failure) { unlocked(bytes, passphrase) }.message
  end

  def test_what_is_locked_is_unlocked_whatever_its_length
    [0, 1, Vault::FRAME_BYTES, Vault::FRAME_BYTES + 1, (2 * Vault::FRAME_BYTES) + 7].each do |size|
      text = Random.new(size).bytes(size)

      assert_equal text, unlocked(locked(text)), size
    end
  end

  def test_another_passphrase_and_anything_that_was_changed
    bytes = locked("x" * (Vault::FRAME_BYTES + 100))
    frame = Vault::FRAME_BYTES + 4 + Vault::TAG_BYTES
    start = Vault::MARK.bytesize + Vault::SALT_BYTES

    assert_match(/passphrase is another one/, refused(bytes, "another"))
    assert_match(/no backup/, refused("PK#{bytes}"))
    assert_match(/ends in the middle|changed/, refused(bytes[0, start + frame]))
    assert_match(/ends in the middle|changed/, refused(bytes[0..-2]))
    assert_match(/changed/, refused(bytes.dup.tap { |copy| copy.setbyte(-1, copy.getbyte(-1) ^ 1) }))
    assert_match(/changed|middle/, refused(bytes[0, start] + bytes[(start + frame)..] + bytes[start, frame]))
    refute_includes bytes, "xxxx"
  end

  # The test's own shop: written, tried out, and restored into an empty place, with its pictures and keys.
  def test_written_tried_out_and_restored
    Dir.mktmpdir("ub", "/var/tmp") do |folder|
      shop, backups, empty = %w[shop backups empty].map { |name| File.join(folder, name) }
      FileUtils.mkdir_p([backups, empty])
      FileUtils.mkdir_p(File.join(shop, "pictures/ab"))
      File.write(File.join(shop, "pictures/ab/one.jpg"), "a picture")
      File.write(File.join(shop, "keys.json"), "{}")
      said = backup({ "STATE_DIR" => shop, "DATABASE_OWNER_URL" => TestDatabase.owner_url }, "to", backups)
      phrase = said[/([2-9a-z]{4}-){5}[2-9a-z]{4}/]
      file = Dir["#{backups}/*.ubb"].first

      assert_equal "100600", File.stat(file).mode.to_s(8)
      assert_match(/all as they were/, backup({ "STATE_DIR" => shop }, "drill", file))
      assert_match(/no passphrase/, backup({ "STATE_DIR" => empty, "BACKUP_PASSPHRASE" => "" }, "drill", file))
      said = [shop, empty].map { |at| backup({ "STATE_DIR" => at, "BACKUP_PASSPHRASE" => phrase }, "restore", file) }

      assert_match(/something in .* already/, said.first)
      assert_match(/is restored/, said.last)
      assert_equal ["a picture", "{}"],
        %w[pictures/ab/one.jpg keys.json].map { |name| File.read(File.join(empty, name)) }
      restored(empty) do |database|
        assert_equal Models::Job.count, database.digests.fetch("jobs").first
        assert_equal Launch::Backup::Database.new(TestDatabase.owner_url).digests, database.digests
      end
    end
  end

  private

  def backup(env, *arguments)
    bare = { "DATABASE_URL" => nil, "DATABASE_OWNER_URL" => nil }
    Open3.capture2e({ **bare, **env }, File.join(TestDatabase::ROOT, "bin/backup"), *arguments).first
  end

  def restored(folder)
    cluster = Launch::Cluster.new(folder: File.join(folder, "postgres"))
    cluster.start
    yield Launch::Backup::Database.new(cluster.owner_url(Launch::Start::DATABASE))
  ensure
    cluster&.stop
  end
end
