# frozen_string_literal: true

# Group: slow (a shop of one's own, with its cluster, from nothing)

require "net/http"
require_relative "../test_helper"
require_relative "../../launch/cluster"

# A shop with its private database: what is killed comes back by itself.
class OwnClusterTest < AppTest
  PATIENCE_SECONDS = 120

  def setup
    @folder = Dir.mktmpdir("ub", "/var/tmp")
    @port = Launch::Shell.free_port
    @words = File.join(@folder, "words")
    env = { "PORT" => @port.to_s, "STATE_DIR" => @folder, "DATABASE_URL" => nil, "DATABASE_OWNER_URL" => nil,
            "APP_ENV" => nil, "PUBLIC_URL" => nil }
    @pid = Process.spawn(env, File.join(TestDatabase::ROOT, "bin/start"), "--own", %i[out err] => @words, pgroup: true)
    wait_until(seconds: PATIENCE_SECONDS) { words.include?("Ctrl-C stops everything") }
  end

  def teardown
    Process.kill("INT", @pid)
    Process.wait(@pid)
    FileUtils.rm_rf(@folder)
  end

  def words
    File.read(@words)
  end

  def cluster
    Launch::Cluster.new(folder: File.join(@folder, "postgres"))
  end

  def answers?(path)
    Net::HTTP.get_response("127.0.0.1", path, @port).is_a?(Net::HTTPSuccess)
  rescue SystemCallError, IOError
    false
  end

  def started_since?(before)
    cluster.running? && cluster.postmaster != before
  rescue Errno::ENOENT
    false # it is being started
  end

  # The way a power cut or the kernel's killer would: nobody is told. Twice, for what was started once.
  def test_a_database_that_is_killed_is_back_by_itself
    2.times do
      before = cluster.postmaster
      Process.kill("KILL", before)
      wait_until(seconds: PATIENCE_SECONDS) { started_since?(before) && answers?("/readyz") }
    end

    assert_equal 2, words.scan("The database ended by itself and is started again.").size
    assert answers?("/login")
  end
end
