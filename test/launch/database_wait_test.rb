# frozen_string_literal: true

# Group: slow (processes that wait)

require "open3"
require_relative "../test_helper"
require_relative "../support/database_door"
require_relative "../support/real_server"
require_relative "../../launch/database_wait"

# Whatever needs the database waits for it, and goes on by itself.
class DatabaseWaitTest < AppTest
  def setup
    @door = DatabaseDoor.new(TestDatabase.url)
    @door.shut
  end

  def teardown
    @door.shut
  end

  # As the unit does that brings the tables up, where the database is a server that boots later.
  def test_a_task_waits
    says, words = IO.pipe
    pid = Process.spawn({ "DATABASE_URL" => @door.url }, "bundle", "exec", "rake", "db:wait", chdir: TestDatabase::ROOT,
      out: words)
    words.close

    assert_equal "Waiting for the database.\n", says.gets
    assert_nil Process.wait(pid, Process::WNOHANG)
    @door.open

    assert_predicate Process.wait2(pid).last, :success?
  end

  def test_the_web_process_waits
    server = RealServer.new("DATABASE_URL" => @door.url)
    starting = Thread.new { server.start }
    wait_until { File.exist?(server.log) && File.read(server.log).include?("Waiting for the database.") }
    @door.open
    starting.join

    assert_equal 200, server.ask("GET", "/healthz").status
  ensure
    server.stop
  end

  # It would not come up by waiting: whoever asks next is told why.
  def test_a_database_that_refuses_us_is_not_waited_for
    { "/no_such_database" => nil, nil => "wrong" }.each do |path, password|
      url = URI(TestDatabase.url)
      url.path = path if path
      url.password = password if password

      assert_silent { Launch::DatabaseWait.call(url.to_s) }
    end
  end
end
