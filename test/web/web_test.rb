# frozen_string_literal: true

require "stringio"
require_relative "../test_helper"

class WebTest < AppTest
  def answer(status = 200)
    ->(_env) { [status, {}, ["ok"]] }
  end

  def test_a_line_for_each_request_without_what_was_typed_and_without_codes
    out = StringIO.new
    log = Web::RequestLog.new(answer, out: out)
    log.call(Rack::MockRequest.env_for("/c/abcdefghijk?q=secret").merge("upright_bench.route" => "/c/:code"))
    log.call(Rack::MockRequest.env_for("/abcdefghijk"))
    first, second = out.string.lines.map { |line| JSON.parse(line) }

    assert_equal ["/c/:code", 200, "GET"], first.values_at("route", "status", "method")
    assert_equal "none", second["route"]
    refute_includes out.string, "secret"
    refute_includes out.string, "abcdefg"
  end

  def test_unreadable_bytes_become_a_sign_and_the_rest_is_kept
    assert_equal "caf\uFFFD au lait", Formats::ReadableText.of("caf\xE9 au lait")
    assert_equal "a\uFFFDb\nc\td", Formats::ReadableText.of("a\u0000b\nc\td")
    assert_equal "Þórsdóttir", Formats::ReadableText.of("Þórsdóttir".b)
  end

  # What the database says of an error holds whole rows; what Ruby says of one holds objects.
  def test_an_error_in_the_log_holds_nothing_of_what_was_entered
    out = StringIO.new
    secret = "Wendel Testrup, 555-0177"
    failures = [lambda {
      DB.transaction(savepoint: true) do
        DB[:people].insert(name: "", email: secret, role: secret, password_hash: secret)
      end
    },
                -> { { name: secret }.fetch(secret) }, -> { secret.no_such_thing }, -> { Integer(secret) }]
    DB.transaction(rollback: :always) do
      failures.each { |failure| Config::Report.error(error_of(&failure), out: out, id: "1") }
    end

    refute_includes out.string, "Wendel"
    refute_includes out.string, "0177"
    lines = out.string.lines.map { |line| JSON.parse(line) }

    assert_equal %w[people no_such_thing], [lines[0]["table"], lines[2]["name"]]
    assert(lines.all? { |line| line["where"].any? && line["id"] == "1" })
  end

  def error_of
    yield
  rescue StandardError => e
    e
  end

  def test_paths_that_two_programs_could_read_differently
    bad = ["", "x", "/a/../b", "/..", "/a/.", "//a", "/a//b", "/a\\b", "/a%5cb", "/a%2fb", "/a%252Fb", "/%2e%2e/a",
           "/a/%252e%252e/b", "/a/..;x/b", "/a\u0000", "/a%00",
           "/a%0d%0ab", "/#{'a' * 3000}"]
    good = ["/", "/jobs/1001", "/sheets/1/sheet.json", "/a.b/..c/d..", "/caf%C3%A9", "/jobs/%FF", "/a/", "/a%20b"]

    assert_empty(bad.select { |path| Web::SafePath.safe?(path) })
    assert_empty(good.reject { |path| Web::SafePath.safe?(path) })
  end

  # What a proxy reports counts when the proxy is one of ours, and as far back as the proxies are.
  def test_the_client_as_a_trusted_proxy_reports_it
    seen = nil
    caller = Web::Caller.new(->(env) { (seen = env) && [200, {}, []] }, proxies: [IPAddr.new("10.0.0.0/8")],
      hosts: ["shop.example"])
    ask = lambda do |from, reported|
      caller.call(Rack::MockRequest.env_for("/", "REMOTE_ADDR" => from, "HTTP_X_FORWARDED_FOR" => reported,
        "HTTP_X_FORWARDED_HOST" => "evil", "HTTP_HOST" => "shop.example:443"))
      seen["REMOTE_ADDR"]
    end

    assert_equal "192.0.2.7", ask.call("192.0.2.7", "203.0.113.9")
    assert_equal "203.0.113.9", ask.call("10.0.0.1", "203.0.113.9")
    assert_equal "203.0.113.9", ask.call("10.0.0.1", "1.1.1.1, 203.0.113.9, 10.2.2.2")
    assert_equal "10.0.0.1", ask.call("10.0.0.1", "nonsense")
    refute(seen.keys.any? { |name| name.start_with?("HTTP_X_FORWARDED") })
  end

  def test_every_domain_error_has_a_status_and_only_strangers_are_our_fault
    statuses = { Services::NotFound.new => 404, Services::Forbidden.new => 403, Services::Stale.new => 409,
                 Services::Refused.new => 409, Services::Invalid.new({}) => 422,
                 Core::Sheets::Invalid.new([]) => 422, RuntimeError.new => 500,
                 PG::ConnectionBad.new => 503, Sequel::PoolTimeout.new => 503 }

    assert_equal statuses.values, statuses.keys.map { |error| Web::ErrorTable.status(error) }
  end
end
