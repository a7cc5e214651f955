# frozen_string_literal: true

require "open3"
require_relative "../test_helper"
require_relative "../../config/launch/start"

# What keeps the application from starting is said in one line.
class LaunchTest < AppTest
  # Bounded, so that a start that goes through by mistake does not run on.
  def start(env)
    Open3.capture2e(env, "timeout", "20", File.join(TestDatabase::ROOT, "bin/start"))
  end

  def test_a_port_in_use
    taken = TCPServer.new("127.0.0.1", 0)
    out, status = start("PORT" => taken.addr[1].to_s)

    assert_equal ["Cannot start: port #{taken.addr[1]} is in use; set PORT to another one\n", 1], [out, status.exitstatus]
  ensure
    taken&.close
  end

  def test_a_port_that_is_none
    %w[abc 70000 0 -1].each { |port| assert_equal "Cannot start: PORT is not a port: #{port}\n", start("PORT" => port).first }
  end

  def test_a_missing_package_without_rights
    packages = Config::Launch::Packages.new(["upright-bench-no-such-package"])

    assert_raises(Config::Launch::Failure) { quietly { packages.ensure } }
  end

  def test_a_cluster_that_will_not_start_names_its_log
    Dir.mktmpdir("ub", "/var/tmp") do |folder|
      FileUtils.chmod(0o755, folder)
      cluster = Config::Launch::Cluster.new(folder: File.join(folder, "pg"))
      quietly { cluster.start }
      cluster.stop
      File.write(File.join(cluster.folder, "data/postgresql.conf"), "nonsense here\n", mode: "a")

      assert_match(/will not start; its log is .*server\.log/, assert_raises(Config::Launch::Failure) { cluster.start }.message)
    end
  end

  def test_a_place_whose_socket_path_would_be_too_long_lives_elsewhere
    cluster = Config::Launch::Cluster.new(folder: "/var/tmp/#{'long/' * 30}pg")

    assert_match(%r{\A/var/tmp/upright-bench-}, cluster.folder)
    assert_operator cluster.folder.bytesize, :<, 80
  end

  private

  def quietly(&)
    capture_io(&)
  end
end
