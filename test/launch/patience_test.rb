# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../../launch/patience"

# A start waits as long as something is done, and says what for.
class PatienceTest < AppTest
  def setup
    @seconds = 0
    @activity = 0
    @patience = Launch::Patience.new([], clock: -> { @seconds }, activity: -> { @activity })
  end

  # @return [Array<String>] lines
  def wait(seconds)
    capture_io do
      seconds.times do
        @seconds += 1
        yield if block_given?
        @patience.wait_for("the worker")
      end
    end.first.lines(chomp: true)
  end

  def test_every_ten_seconds_it_says_what_is_waited_for
    said = wait(125) { @activity += 1 }

    assert_equal 12, said.size
    assert_equal ["Waiting for the worker (10 s so far).", "Waiting for the worker (2 min so far)."],
      said.values_at(0, -1)
  end

  def test_an_hour_is_not_too_long_for_what_is_at_work
    assert_equal 360, wait(3600) { @activity += 1 if (@seconds % 200).zero? }.size
  end

  def test_what_did_nothing_for_five_minutes_is_given_up
    wait(100) { @activity += 1 }
    wait(299)

    assert_match(/the worker does not get ready: nothing was done for 5 minutes/,
      assert_raises(Launch::Failure) { wait(1) }.message)
  end

  def test_what_a_group_of_processes_does_is_seen
    { "loop {}" => true, "loop { sleep 0.01; $stdout.syswrite('.') }" => true, "sleep" => false }.each do |code, busy|
      pid = Process.spawn(RbConfig.ruby, "-e", "#{code if busy}\nsleep", pgroup: true, out: File::NULL)
      seen = -> { Launch::Patience.activity([pid]) }
      if busy
        before = seen.call
        wait_until { seen.call > before }
      else
        wait_until { seen.call.positive? && 5.times.map { sleep(0.05) && seen.call }.uniq.one? }
      end
    ensure
      Process.kill("KILL", -pid)
      Process.wait(pid)
    end

    assert_equal 0, Launch::Patience.activity([4_194_304])
  end

  def test_what_a_block_waits_for_is_said
    said = StringIO.new
    Launch::Shell.stub(:say, ->(words) { said.puts(words) }) do
      Launch::Patience.telling("it", every: 0.01) { wait_until { said.string.lines.size > 1 } }
    end
    lines = said.string

    assert_match(/\A(Waiting for it \(0 s so far\)\.\n)+\z/, lines)
    sleep 0.05

    assert_equal lines, said.string, "once it is there, nothing more is said"
  end
end
