# frozen_string_literal: true

require "stringio"
require_relative "../../test_helper"

class WebTest < AppTest
  def answer(status = 200)
    ->(_env) { [status, {}, ["ok"]] }
  end

  def test_a_line_for_each_request_without_what_was_typed_and_without_codes
    out = StringIO.new
    log = Config::Web::RequestLog.new(answer, out: out)
    log.call(Rack::MockRequest.env_for("/c/abcdefghijk?q=secret"))
    line = JSON.parse(out.string)

    assert_equal ["/c/…", 200, "GET"], line.values_at("path", "status", "method")
    refute_includes out.string, "secret"
    refute_includes out.string, "abcdefg"
  end

  def test_unreadable_bytes_become_a_sign_and_the_rest_is_kept
    assert_equal "caf\uFFFD au lait", Config::Web::ReadableInput.mend("caf\xE9 au lait")
    assert_equal "a\uFFFDb\nc\td", Config::Web::ReadableInput.mend("a\u0000b\nc\td")
    assert_equal "Þórsdóttir", Config::Web::ReadableInput.mend("Þórsdóttir".b)
  end

  def test_counters_forget
    counters = Config::Web::Throttle::Counters.new

    assert_equal [1, 2], Array.new(2) { counters.increment("a", expires_in: 60) }
    counters.write("a", 7, expires_in: -1)

    assert_equal 1, counters.increment("a", expires_in: 60)
    counters.delete("a")

    assert_nil counters.read("a")
  end

  def test_every_domain_error_has_a_status_and_only_strangers_are_our_fault
    statuses = { Services::NotFound.new => 404, Services::Stale.new => 409, Services::Refused.new => 409, Services::Invalid.new({}) => 422,
                 Core::Sheets::Invalid.new([]) => 422, RuntimeError.new => 500 }

    assert_equal statuses.values, statuses.keys.map { |error| Config::Web::ErrorTable.status(error) }
  end
end
