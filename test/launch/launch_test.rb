# frozen_string_literal: true

# Group: slow (starts the whole shop)

require "English"
require "net/http"
require "open3"
require_relative "../test_helper"
require_relative "../../launch/start"

# What keeps the application from starting is said in one line.
class LaunchTest < AppTest
  # Bounded, so that a start that goes through by mistake does not run on.
  def start(env)
    Open3.capture2e(env, "timeout", "20", File.join(TestDatabase::ROOT, "bin/start"))
  end

  def test_a_port_in_use
    taken = TCPServer.new("127.0.0.1", 0)
    out, status = start("PORT" => taken.addr[1].to_s)

    assert_equal ["Cannot start: port #{taken.addr[1]} is in use; set PORT to another one\n", 1],
      [out, status.exitstatus]
  ensure
    taken&.close
  end

  def test_a_port_that_is_none
    %w[abc 70000 0 -1].each do |port|
      assert_equal "Cannot start: PORT is not a port: #{port}\n", start("PORT" => port).first
    end
  end

  def test_workers_that_are_no_number
    words = start("WORKER_PROCESSES" => "many", "PORT" => Launch::Shell.free_port.to_s).first

    assert_equal "Cannot start: WORKER_PROCESSES is a number from 1 to 99, not many\n", words
  end

  # With a database that is there already: up, ready, and everything down again on Ctrl-C.
  def test_up_and_down
    killed_before = DB[:que_lockers].select_map(:pid) # whose number another connection may have by now
    port = Launch::Shell.free_port
    env = { "PORT" => port.to_s, "DATABASE_URL" => TestDatabase.url, "APP_ENV" => "development" }
    reader, writer = IO.pipe
    pid = Process.spawn(env, File.join(TestDatabase::ROOT, "bin/start"), out: writer, err: writer, pgroup: true)
    writer.close
    words = read_until(reader, /Ctrl-C stops everything/)

    assert_match(%r{http://127\.0\.0\.1:#{port}/.*ines@ropewalk\.example\.org}m, words)
    assert_equal "200", Net::HTTP.get_response("127.0.0.1", "/readyz", port).code
    Process.kill("INT", pid)
    Process.wait(pid)

    assert_equal 0, $CHILD_STATUS.exitstatus
    assert_raises(Errno::ECONNREFUSED) { TCPSocket.new("127.0.0.1", port) }
    wait_until { DB[:que_lockers].where(pid: DB[:pg_stat_activity].select(:pid)).exclude(pid: killed_before).empty? }
  ensure
    Process.kill("KILL", -pid) if pid && !$CHILD_STATUS&.exited?
  end

  # One that is killed is started again, and none is left behind by a start that is killed.
  def test_a_killed_process_is_started_again_and_a_killed_start_leaves_nothing
    port = Launch::Shell.free_port
    env = { "PORT" => port.to_s, "DATABASE_URL" => TestDatabase.url, "APP_ENV" => "development" }
    reader, writer = IO.pipe
    pid = Process.spawn(env, File.join(TestDatabase::ROOT, "bin/start"), out: writer, err: writer, pgroup: true)
    writer.close
    read_until(reader, /Ctrl-C stops everything/)
    before = children(pid)
    Process.kill("KILL", before.first)

    read_until(reader, /process ended by itself and is started again/)
    wait_until { ready?(port) && children(pid).size == before.size }
    held = children(pid)
    Process.kill("KILL", pid)
    Process.wait(pid)
    wait_until { held.none? { |child| running?(child) } }

    refute ready?(port)
  ensure
    [pid, *held].compact.each { |one| Process.kill("KILL", one) if running?(one) }
  end

  # Its number may be that of another server by now.
  def test_a_stale_number_of_another_servers_process_is_no_server
    Dir.mktmpdir("ub", "/var/tmp") do |folder|
      cluster = Launch::Cluster.new(folder: File.join(folder, "pg"))
      FileUtils.mkdir_p(File.join(cluster.folder, "data"))
      file = File.join(cluster.folder, "data/postmaster.pid")
      backend = DB.get(Sequel.function(:pg_backend_pid))
      server = File.read("/proc/#{backend}/stat")[/\) \w (\d+)/, 1].to_i
      [server, backend, Process.pid, 4_194_303].each do |number|
        File.write(file, "#{number}\n")

        refute_predicate cluster, :running?, number
      end
    end
  end

  def test_a_step_that_is_told_to_stop_leaves_nothing
    file = Tempfile.new("step")
    pid = fork do
      Signal.trap("TERM") { raise Interrupt }
      Launch::Step.run({}, "sh", "-c", "echo $$ > #{file.path}; exec sleep 600", chdir: "/")
    rescue Interrupt
      exit!(0)
    end
    wait_until { File.read(file.path).end_with?("\n") }
    Process.kill("TERM", pid)
    Process.wait(pid)

    refute running?(File.read(file.path).to_i)
  ensure
    step = File.read(file.path).to_i
    Process.kill("KILL", step) if step.positive? && running?(step)
  end

  def test_fresh_only_empties_the_private_cluster
    out, = Open3.capture2e({ "PORT" => Launch::Shell.free_port.to_s, "DATABASE_URL" => TestDatabase.url }, "timeout",
      "20",
      File.join(TestDatabase::ROOT, "bin/start"), "--fresh")

    assert_match(/--fresh empties the private cluster only/, out)
  end

  def test_a_missing_package_without_rights
    packages = Launch::Packages.new(["upright-bench-no-such-package"])

    assert_raises(Launch::Failure) { quietly { packages.ensure } }
  end

  def test_a_cluster_that_will_not_start_names_its_log
    Dir.mktmpdir("ub", "/var/tmp") do |folder|
      FileUtils.chmod(0o755, folder)
      cluster = Launch::Cluster.new(folder: File.join(folder, "pg"))
      quietly { cluster.start }
      cluster.stop
      File.write(File.join(cluster.folder, "data/postgresql.conf"), "nonsense here\n", mode: "a")

      assert_match(/will not start; its log is .*server\.log/, assert_raises(Launch::Failure) { cluster.start }.message)
    end
  end

  def test_a_place_whose_socket_path_would_be_too_long_lives_elsewhere
    cluster = Launch::Cluster.new(folder: "/var/tmp/#{'long/' * 30}pg")

    assert_match(%r{\A/var/tmp/upright-bench-}, cluster.folder)
    assert_operator cluster.folder.bytesize, :<, 80
  end

  def test_help_and_what_is_no_argument_start_nothing
    { "bin/start" => "--frseh", "bin/test" => "test/no_such_test.rb" }.each do |program, mistake|
      said, status = Open3.capture2e(program, "--help", chdir: TestDatabase::ROOT)

      assert_predicate status, :success?
      assert_includes said, "#{program} --help"
      said, status = Open3.capture2e(program, mistake, chdir: TestDatabase::ROOT)

      refute_predicate status, :success?
      assert_includes said, mistake
      assert_includes said, "#{program} --help"
    end
  end

  # What holds a shop is never deleted for the asking.
  def test_fresh_leaves_a_shop_of_ones_own_alone
    Dir.mktmpdir("ub", "/var/tmp") do |folder|
      File.write(File.join(folder, "keys.json"), "{}")
      env = { "PORT" => Launch::Shell.free_port.to_s, "STATE_DIR" => folder, "DATABASE_URL" => nil }
      out, status = Open3.capture2e(env, "timeout", "60", File.join(TestDatabase::ROOT, "bin/start"), "--fresh")

      assert_match(/holds a shop of your own/, out)
      assert_equal 1, status.exitstatus
    end
  end

  # What the variable says before what the system does, and nothing that is no zone.
  def test_the_zone_of_the_machine
    Dir.mktmpdir do |etc|
      zone = ->(env = {}) { Launch::SystemZone.name(env: env, etc: etc) }

      assert_nil zone.call
      File.symlink("/usr/share/zoneinfo/Europe/Oslo", File.join(etc, "localtime"))

      assert_equal "Europe/Oslo", zone.call
      File.write(File.join(etc, "timezone"), "America/New_York\n")

      assert_equal ["America/New_York", "Asia/Tokyo", "America/New_York", "America/New_York"],
        [zone.call, zone.call("TZ" => "Asia/Tokyo"), zone.call("TZ" => ":/etc/x"), zone.call("TZ" => "../passwd")]
    end
  end

  private

  def children(pid)
    File.read("/proc/#{pid}/task/#{pid}/children").split.map(&:to_i)
  end

  def running?(pid)
    File.read("/proc/#{pid}/stat")[/\) (\w)/, 1] != "Z"
  rescue Errno::ENOENT, Errno::ESRCH
    false
  end

  def ready?(port)
    Net::HTTP.get_response("127.0.0.1", "/readyz", port).code == "200"
  rescue SystemCallError, EOFError
    false
  end

  def read_until(reader, pattern, seconds: 60)
    words = +""
    deadline = seconds_by_clock + seconds
    until words.match?(pattern)
      flunk "no #{pattern.inspect} in: #{words}" if seconds_by_clock > deadline
      words << reader.read_nonblock(4096, exception: false)
        .then { |read| read == :wait_readable ? (sleep(0.1) && "") : read.to_s }
    end
    words
  end

  def quietly(&)
    capture_io(&)
  end
end
