# frozen_string_literal: true

require "minitest/autorun"
require "json"
require "socket"
require "tmpdir"
require "timeout"
require_relative "../../gauge/program"
require_relative "../../launch/demo_gauge"

# The reader of a gauge and the gauge that is not there, as programs.
class GaugeProgramTest < Minitest::Test
  GAUGE = File.expand_path("../../bin/gauge", __dir__)
  SHEET = File.expand_path("../../demo/sheets/corvane-drum-30.json", __dir__)
  PATIENCE = 60

  def teardown
    @started&.each { |pid| Process.kill("TERM", pid) && Process.wait(pid) }
  end

  def start(*arguments)
    (@started ||= []) << Process.spawn(RbConfig.ruby, GAUGE, *arguments, out: File::NULL, err: File::NULL)
  end

  def simulated(*faults, **more)
    UprightBench::Gauge::Simulated.new([UprightBench::Gauge::Machine.sheet(SHEET)], random: Random.new(3),
      faults: faults, **more)
  end

  def rest_of(gauge, held)
    gauge.told("at #{JSON.generate(held)}\n")
    Array.new(20) { gauge.line }.last
  end

  # The Drum 30 in order pulls 25 kPa and 62 L/s; with its hose nearly shut the flow falls and the suction stays.
  def test_it_shows_the_machine_wherever_it_is_held
    whole = simulated
    blocked = simulated([:blocked, "hose", 8.0])

    assert_in_delta(-25.0, rest_of(whole, { point: "tool", kind: "sealed" }).to_f, 0.3)
    assert_in_delta 62.0, rest_of(whole, { point: "tool", kind: "flow" }).to_f, 0.8
    assert_in_delta(-25.0, rest_of(blocked, { point: "tool", kind: "sealed" }).to_f, 0.3)
    assert_operator rest_of(blocked, { point: "tool", kind: "flow" }).to_f, :<, 40
    assert_operator rest_of(blocked, { point: "drum", kind: "flow" }).to_f, :>, 60
  end

  def test_it_takes_a_moment_to_come_to_rest
    gauge = simulated
    rest_of(gauge, { point: "tool", kind: "sealed" })
    gauge.told('at {"point": "tool", "kind": "flow"}')

    assert_operator gauge.line.to_f, :<, 45, "of 62"
  end

  def test_what_means_nothing_changes_nothing
    gauge = simulated
    before = rest_of(gauge, { point: "tool", kind: "flow" }).to_f
    ["", "at", "at {", "at []", "fall over", nil].each { |line| gauge.told(line) }

    assert_in_delta before, gauge.line.to_f, 1
  end

  # Each job's machine has a fault of its own, the same each time, and none once it was worked on.
  def test_a_fault_for_each_job
    flow = lambda { |**held|
      gauge = UprightBench::Gauge::Simulated.new([UprightBench::Gauge::Machine.sheet(SHEET)], random: Random.new(1))
      rest_of(gauge, { point: "tool", kind: "flow", **held }).to_f
    }
    broken = (1001..1012).map { |job| flow.call(job: job) }

    assert_equal broken, (1001..1012).map { |job| flow.call(job: job) }
    assert_operator broken.uniq.size, :>, 6
    assert_in_delta 62.0, flow.call(job: 1001, worked: true), 1
  end

  # From the simulated gauge's terminal through the reader to a bench, and back where it is held.
  def test_read_and_handed_on
    Dir.mktmpdir do |folder|
      token = File.join(folder, "token").tap { |path| File.write(path, "secret-of-a-gauge\n") }
      pty = File.join(folder, "gauge")
      bench = TCPServer.new("127.0.0.1", 0)
      start("simulate", "--sheet", SHEET, "--pty", pty, "--fault", "fan::0.5")
      start("read", "--from", pty, "--to", "http://127.0.0.1:#{bench.addr[1]}", "--token-file", token, "--tell")
      heard = Timeout.timeout(PATIENCE) { hear(bench) { |text| text.match?(%r{^\d+ \d+\.\d+ L/s$}) } }

      assert_match(/^authorization: Bearer secret-of-a-gauge\r$/i, heard)
      assert_match(/^\d+ -?\d+\.\d+ kPa$/, heard, "before it was told where it is held")
    end
  end

  # @yieldparam text [String] all that came so far
  # @yieldreturn [Boolean] whether it is enough
  def hear(bench)
    heard = +""
    until yield(heard)
      client = bench.accept
      serve(client, heard)
      client.close
    end
    heard
  end

  def serve(client, heard)
    head = +""
    head << client.readpartial(4096) until head.include?("\r\n\r\n")
    length = head[/content-length: (\d+)/i, 1].to_i
    body = head.split("\r\n\r\n", 2).last.to_s
    body << client.readpartial(4096) while body.bytesize < length
    heard << head << "\n" << body
    held = JSON.generate(point: "tool", kind: "flow")
    client.write("HTTP/1.1 200 OK\r\ncontent-length: #{held.bytesize}\r\nconnection: close\r\n\r\n#{held}")
  end

  def test_what_is_not_understood_is_told_with_help
    [[], ["read"], ["simulate"], ["simulate", "--sheet", SHEET], ["fly"], ["read", "--moon"],
     ["simulate", "--sheet", SHEET, "--port", "1", "--fault", "moon:1:2"]].each do |arguments|
      out, = capture_io { assert_equal 1, UprightBench::Gauge::Program.call(arguments), arguments.inspect }

      assert_match(%r{bin/gauge read}, out)
    end
    out, = capture_io { assert_equal 0, UprightBench::Gauge::Program.call(["--help"]) }

    assert_match(%r{bin/gauge simulate}, out)
  end

  # The last run's link leads to whatever device got that terminal since: no reader may find it.
  def test_a_second_start_leaves_no_link_of_the_first
    Dir.mktmpdir do |folder|
      link = File.join(folder, "gauge")
      File.symlink(File::NULL, link)
      File.write("#{link}.token", "secret\n")
      children = Struct.new(:seen) { def start(name, *) = seen << [name, File.symlink?(self.class::LINK)] }
      children.const_set(:LINK, link)
      begun = children.new([])
      UprightBench::Launch::DemoGauge.start(begun, root: folder, folder: folder, port: "1", env: {})

      assert_equal [["gauge", false], ["gauge's reader", false]], begun.seen
    end
  end
end
