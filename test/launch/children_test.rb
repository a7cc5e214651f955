# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../../launch/children"

# Which processes are started again when they end, and which are done.
class ChildrenTest < AppTest
  def setup
    @children = Launch::Children.new("/", port: Launch::Shell.free_port.to_s)
    @file = Tempfile.new("ends")
  end

  def teardown
    @children.stop
  end

  # Watches until the block's condition holds.
  def watch_until
    catch(:seen) do
      Timeout.timeout(60) { @children.watch { throw :seen if yield } }
    end
  end

  def ends
    File.read(@file.path).lines.size
  end

  def start(name, status, **more)
    @children.start(name, {}, "sh", "-c", "echo ended >> #{@file.path}; exit #{status}", **more)
  end

  def test_what_is_to_be_done_once_is_done_once_it_ended_well
    said, = capture_io do
      start("loader", 0, once: true)
      looks = 0
      watch_until { (looks += 1) > 4 }
    end

    assert_equal [1, ""], [ends, said]
  end

  def test_what_was_to_be_done_once_and_failed_is_tried_again
    said, = capture_io do
      start("loader", 1, once: true)
      watch_until { ends > 1 }
    end

    assert_includes said, "The loader process ended by itself and is started again."
  end

  def test_what_ends_again_and_again_ends_the_rest
    capture_io do
      start("web", 1)
      error = assert_raises(Launch::Failure) { watch_until { false } }

      assert_match(/the web process ended 5 times within a minute/, error.message)
    end
    assert_equal 5, ends
  end

  # Where nothing answers, it says what it waits for, and gives up when the process has ended.
  def test_a_process_that_ended_is_not_waited_for
    start("web", 1)

    assert_match(/the web process ended/, assert_raises(Launch::Failure) { @children.wait_until_ready }.message)
  end
end
