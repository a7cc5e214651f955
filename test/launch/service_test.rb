# frozen_string_literal: true

require "open3"
require_relative "../test_helper"
require_relative "../../launch/shell"
require_relative "../../launch/service/units"

# The unit files, looked at by systemd's own program where there is one.
class ServiceTest < AppTest
  ROOT = TestDatabase::ROOT

  def units(**more)
    Launch::Service::Units.new(root: ROOT, state_dir: "/var/tmp", environment: "/var/tmp/none", user: "root",
      server: false, backups: "/var/tmp", continuous: "/var/tmp", **more)
  end

  def command(*arguments, **env)
    Open3.capture2e(env.transform_keys(&:to_s), File.join(ROOT, "bin/service"), *arguments)
  end

  def test_one_unit_with_the_private_cluster_three_with_a_server
    assert_equal %w[upright-bench-backup.timer upright-bench-base.timer upright-bench-drill.timer
                    upright-bench.service], units.enabled.sort
    apart = units(server: true, backups: nil, continuous: nil)

    assert_equal %w[upright-bench-tables.service upright-bench-web.service upright-bench-worker.service],
      apart.all.keys.sort
    assert_includes apart.all["upright-bench-web.service"], "UnsetEnvironment=DATABASE_OWNER_URL"
    assert_includes apart.all["upright-bench-worker.service"], "Requires=upright-bench-tables.service"
    assert_includes apart.all["upright-bench-tables.service"], "rake db:wait db:migrate"
    assert_includes apart.all["upright-bench-tables.service"], "TimeoutStartSec=infinity"
  end

  # systemd.exec and ASVS 4.0, 14.1 (from memory): nothing to gain, a system that cannot be written to, a /tmp of its
  # own.
  def test_each_is_confined
    [units, units(server: true)].flat_map { |some| some.all.select { |name, _| name.end_with?(".service") }.values }
      .each do |text|
        %w[NoNewPrivileges=yes ProtectSystem=strict PrivateTmp=yes CapabilityBoundingSet= UMask=0077].each do |line|
          assert_includes text.lines(chomp: true), line
        end
        assert_includes text, "APP_ENV=production"
      end
  end

  def test_every_program_that_is_started_is_there
    [units, units(server: true)].flat_map { |some| some.all.values }.join.scan(%r{#{ROOT}/(bin/\w+)}).flatten.uniq
      .each { |path| assert_predicate Pathname(ROOT).join(path), :executable?, path }
  end

  def test_systemd_understands_them
    skip "there is no systemd-analyze here" unless Launch::Shell.ok?("systemd-analyze", "--version")

    [units, units(server: true), units(user: nil)].each do |some|
      Dir.mktmpdir do |folder|
        some.all.each { |name, text| File.write(File.join(folder, name), text) }
        paths = some.all.keys.map { |name| File.join(folder, name) }
        out, = Open3.capture2e({ "SYSTEMD_UNIT_PATH" => "#{folder}:" }, "systemd-analyze", "verify", "--man=no", *paths)

        assert_empty out.lines.grep(/#{folder}|upright-bench/), out
      end
    end
  end

  def test_printed_and_told_what_it_is
    out, status = command("print", STATE_DIR: "/srv/shop", BACKUPS: "/mnt/backups")

    assert_predicate status, :success?
    assert_includes out, "ReadWritePaths=/srv/shop /mnt/backups"
    out, status = command("--help")

    assert_predicate status, :success?
    assert_includes out, "bin/service install"
    refute_predicate command("nonsense").last, :success?
  end
end
