# frozen_string_literal: true

# Group: slow (every route in every disguise, over a socket)

require_relative "../test_helper"
require_relative "../../hostile/disguises"
require_relative "../support/real_server"

# Every route of the application, asked over a socket by nobody, in every disguise of its path. A route is closed
# unless it says otherwise; those that do are listed here, and nowhere else.
class DoorsTest < CommittedTest
  OPEN = ["GET /c/:code", "POST /c/:code", "GET /c/:code/stop", "POST /c/:code/stop", "GET /c/:code/booking.ics",
          "GET /r/:code", "POST /r/:code",
          "GET /j/:code", "GET /j/:code/bill.pdf", "POST /j/:code/agree", "POST /j/:code/ask",
          "GET /healthz", "GET /readyz", "GET /metrics", "GET /first/:key", "POST /first/:key",
          "POST /gauge-lines"].freeze
  TOKENLESS = ["POST /c/:code/stop", "POST /gauge-lines"].freeze

  def self.doors
    UprightBench::Screens::App.doors.reject { |door| door.verb == "HEAD" }
  end

  class << self
    attr_accessor :server, :job
  end

  # One shop and one server for all of these tests: nobody changes anything in it.
  def setup
    begin_shop unless self.class.server
    @server = self.class.server
    @job = self.class.job
    DB[:throttle_counts].delete
  end

  def begin_shop
    CommittedTest.instance_method(:setup).bind_call(self)
    self.class.job = settled({ "pre-filter" => { grey: 5 } })
    Services::BeginDraft.of(sheet("Hallmoor Dart M"), by: owner, at: NOW)
    self.class.server = RealServer.new.start
    at_exit { self.class.server.stop }
  end

  def test_which_routes_are_open
    assert_equal OPEN.sort, self.class.doors.select(&:open).map { |door| "#{door.verb} #{door.path}" }.sort
    assert_equal TOKENLESS.sort, self.class.doors.reject(&:token).map { |door| "#{door.verb} #{door.path}" }.sort
  end

  # By GET; by POST without a token, and with the one that the sign-in page gives to everybody.
  def test_nobody_gets_through_a_closed_one_in_any_disguise
    cookie, token = sign_in_form
    before = counts
    through = closed.flat_map do |path|
      Hostile::Disguises.of(path).flat_map do |asked|
        DB[:throttle_counts].delete
        answers = [@server.ask("GET", asked), @server.ask("POST", asked, body: ""),
                   @server.ask("POST", asked, body: "_csrf=#{Rack::Utils.escape(token)}&how=declined",
                     headers: { "Cookie" => cookie })]
        answers.reject { |answer| refused?(answer) }.map do |answer|
          "#{asked} → #{answer.status} #{answer.body[0, 200]}"
        end
      end
    end

    assert_empty through
    assert_equal before, counts, "nothing was done by nobody"
  end

  def test_the_ways_round_that_were_found
    ["/c/../take-in/find?q=lund", "/c/%2e%2e/take-in/find?q=lund", "/c/..%5ctake-in/find?q=lund",
     "/c/../jobs/#{@job.number}/tag.pdf"].each do |path|
      answer = @server.ask("GET", path)

      assert_equal 400, answer.status, path
      refute_match(/Lund|%PDF/, answer.body)
    end
  end

  def test_an_answer_to_a_strange_method_is_ours_and_gives_no_cookie_away
    { "PUT" => 405, "DELETE" => 405, "OPTIONS" => 405, "TRACE" => 405, "BREW" => 501, "PROPFIND" => 501 }.each do |verb,
      status|
      answer = @server.ask(verb, "/jobs/1001", headers: { "Cookie" => "upright_bench=secret-of-mine" })

      assert_equal status, answer.status, verb
      assert_includes answer.headers["content-security-policy"].to_s, "default-src 'none'"
      refute_includes answer.body, "secret-of-mine"
    end
    answer = @server.raw("GET / HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: upright_bench=secret-of-mine\r\nbad " \
                         "header\r\n\r\n")

    assert_equal 400, answer.status
    assert_includes answer.headers["content-security-policy"].to_s, "default-src 'none'"
    refute_match(/secret-of-mine|puma/i, answer.body)
    refute_includes File.read(@server.log), "secret-of-mine"
  end

  def test_a_name_that_is_not_ours_is_refused_and_no_redirect_follows_one
    { "evil.example" => 421, "evil.example:4610" => 421, "127.0.0.1.evil.example" => 421, "" => 421, "localhost" => 302,
      "[::1]:9" => 302 }.each do |host, status|
      answer = @server.ask("GET", "/", headers: {
        "Host" => host, "X-Forwarded-Host" => "evil.example", "Forwarded" => "host=evil.example"
      })

      assert_equal status, answer.status, host
      assert_equal "/login", answer.headers["location"] if status == 302

      refute_includes answer.body, "evil"
    end
  end

  # Codes are tried at most so often from one address, whatever a header says of it.
  def test_who_asks_is_not_believed
    statuses = Array.new((2 * Web::Throttle::CODES_A_MINUTE) +
      1) { |n| @server.ask("GET", "/c/#{'0' * 26}", headers: { "X-Forwarded-For" => "10.0.0.#{n}" }).status }

    assert_equal [404, 429], statuses.uniq
  end

  def test_what_a_request_may_carry
    { "/login" => 413, "/shelf/list" => 403, "/jobs/#{@job.number}/pictures" => 403 }.each do |path, status|
      assert_equal status, @server.ask("POST", path, body: "a=#{'x' * 300_000}").status, path
    end
    pasted = "--B\r\nContent-Disposition: form-data; name=\"list\"\r\n\r\n#{'x' * (3 * 1024 * 1024)}\r\n--B--\r\n"

    assert_equal 400, @server.ask("POST", "/shelf/list", body: pasted,
      headers: { "Content-Type" => "multipart/form-data; boundary=B" }).status
    chunked = "POST /login HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\nContent-Type: " \
              "application/x-www-form-urlencoded\r\nTransfer-Encoding: chunked\r\n\r\n"

    assert_equal 413, @server.raw("#{chunked}#{"10000\r\n#{'x' * 0x10000}\r\n" * 6}0\r\n\r\n").status
  end

  private

  # @return [Array<String>] an address for each closed route, with what is really there in its place
  def closed
    real = { "number" => @job.number, "id" => 1, "stay" => 1, "position" => "pre-filter", "task" => "wash",
             "station" => "pre",
             "key" => "pre-filter", "size" => "small", "supplier" => 1,
             "customer" => @job.customer_id, "step" => "end", "move" => "receive", "code" => "x", "part" => 1,
             "paper" => "bill", "how" => "sent", "what" => "password" }
    self.class.doors.reject(&:open).map { |door| door.path.gsub(/:(\w+)/) { real.fetch(Regexp.last_match(1)).to_s } }
      .uniq
  end

  # Sent to the sign-in, or told nothing.
  def refused?(answer)
    return answer.headers["location"] == "/login" if answer.status == 302

    [400, 401, 403, 404, 405, 421].include?(answer.status) &&
      !answer.body.match?(/#{Regexp.escape(@job.customer.name)}|%PDF/)
  end

  def sign_in_form
    answer = @server.ask("GET", "/login")
    [answer.headers.fetch("set-cookie")[/\A[^;]+/], answer.body[/name="_csrf" value="([^"]+)"/, 1]]
  end

  def counts
    (DB.tables - %i[throttle_counts sign_in_tries que_lockers]).to_h { |table| [table, DB[table].count] }
      .merge(states: Models::Job.order(:id).select_map(:state))
  end
end
