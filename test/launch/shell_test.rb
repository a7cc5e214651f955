# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../../launch/shell"

class ShellTest < AppTest
  Shell = Launch::Shell

  def test_says_why_a_program_failed_without_the_trail_of_its_stack
    error = assert_raises(Launch::Failure) { Shell.run("ruby", "-e", "def deep = raise('the reason')\ndeep") }

    assert_match(/\Aruby failed: .*the reason/, error.message)
    refute_match(/from -e:2/, error.message)
  end

  def test_a_program_that_is_not_there_is_no_success
    refute Shell.ok?("upright-bench-no-such-program")
    assert Shell.ok?("true")
    refute Shell.ok?("false")
  end

  def test_a_free_port_can_be_taken
    port = Shell.free_port
    server = TCPServer.new("127.0.0.1", port)

    assert_equal port, server.addr[1]
  ensure
    server&.close
  end
end
