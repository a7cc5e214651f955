# frozen_string_literal: true

# Group: slow (clusters of its own, restored to a moment)
# Needs: pgbackrest

require "open3"
require_relative "../test_helper"
require_relative "../../launch/backup/command"

# A private cluster that hands every change over; killed under load, and restored to a moment between two of them.
class ContinuousTest < AppTest
  ROOT = TestDatabase::ROOT

  def setup
    @folder = Dir.mktmpdir("ub", "/var/tmp")
    File.chmod(0o711, @folder)
    @shop, @elsewhere, @empty = %w[shop elsewhere empty].map { |name| File.join(@folder, name) }
    FileUtils.mkdir_p(File.join(@shop, "pictures/ab"))
    File.write(File.join(@shop, "pictures/ab/one.jpg"), "a picture")
    File.write(File.join(@shop, "keys.json"), "{}")
  end

  def teardown
    @cluster&.stop
    FileUtils.rm_rf(@folder)
  end

  def cluster(state_dir)
    Launch::Cluster.new(folder: File.join(state_dir, "postgres"))
  end

  def backup(*arguments, state_dir: @shop)
    Open3.capture2e({ "STATE_DIR" => state_dir, "BACKUP_PASSPHRASE" => "four kettles on a quay",
                      "DATABASE_URL" => nil, "DATABASE_OWNER_URL" => nil }, File.join(ROOT, "bin/backup"), *arguments)
  end

  def done(*arguments, **more)
    out, status = backup(*arguments, **more)

    assert_predicate status, :success?, out
    out
  end

  def write(text)
    @cluster.sql("INSERT INTO log (text) VALUES ('#{text}')", database: "shop")
  end

  # The server's own clock, by which it is restored.
  def now
    @cluster.sql("SELECT clock_timestamp()").tap { @cluster.sql("SELECT pg_sleep(1.1)") }
  end

  def begin_shop
    @cluster = cluster(@shop)
    @cluster.start
    @cluster.sql("CREATE DATABASE shop")
    @cluster.sql("CREATE TABLE log (id serial, text text, at timestamptz DEFAULT now())", database: "shop")
    @cluster.stop
    done("continuous", @elsewhere)
    @cluster = cluster(@shop)
    @cluster.start
    done("base")
  end

  # Work goes on while it is backed up, and while it is killed.
  def under_load
    worker = Thread.new do
      loop { write("load") }
    rescue Launch::Failure
      nil # it was killed
    end
    yield
  ensure
    worker.join(30)
  end

  def test_killed_and_restored_to_a_moment_between_two_writes
    begin_shop
    between = nil
    under_load do
      done("base")
      write("the first")
      between = now
      write("the second")
      handed_over
      Process.kill("KILL", @cluster.postmaster)
    end
    done("restore", @elsewhere, between, state_dir: @empty)
    restored = cluster(@empty)
    restored.start
    texts = restored.sql("SELECT DISTINCT text FROM log ORDER BY text", database: "shop").lines(chomp: true)

    assert_equal ["load", "the first"], texts
    assert_equal "off", restored.sql("SHOW archive_mode"), "it hands nothing over to the old one's folder"
    assert_equal "a picture", File.read(File.join(@empty, "pictures/ab/one.jpg"))
    assert_path_exists File.join(@empty, "keys.json")
    assert_predicate self, :encrypted_elsewhere?
  ensure
    restored&.stop
  end

  # Until everything that was written by now is elsewhere.
  def handed_over
    piece = @cluster.sql("SELECT pg_walfile_name(pg_current_wal_lsn())")
    @cluster.sql("SELECT pg_switch_wal()")
    wait_until(seconds: 300) { @cluster.sql("SELECT last_archived_wal >= '#{piece}' FROM pg_stat_archiver") == "t" }
  end

  def encrypted_elsewhere?
    Open3.capture2e("grep", "-rl", "the first", @elsewhere).first.empty?
  end

  def test_what_cannot_be_is_said
    assert_match(/there is no shop/, backup("base", state_dir: @empty).first)
    @cluster = cluster(@shop)
    @cluster.start

    assert_match(/say first where to/, backup("base").first)
    done("continuous", @elsewhere)

    assert_match(/has to be started once more/, backup("base").first)
    assert_match(/something in .* already/, backup("restore", @elsewhere, "2026-11-27 14:00").first)
    assert_match(/is no moment/, backup("restore", @elsewhere, "noon-ish", state_dir: @empty).first)
  end
end
