# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# Who gets in, and under which headers.
class AccessTest < DatabaseTest
  include AsStaff

  def setup
    Config::Web::Throttle::STORE.clear
  end

  def test_nobody_gets_in_without_signing_in
    ["/", "/take-in", "/jobs/1001", "/cards", "/settings", "/customers/1", "/sheets", "/rack", "/shelf"].each do |path|
      get path

      assert_equal [302, "/login"], [status, last_response["location"]], path
    end
  end

  def test_a_signed_out_fragment_sends_the_page_to_the_sign_in
    get "/take-in/find?q=ab", {}, "HTTP_HX_REQUEST" => "true"

    assert_equal [401, "/login"], [status, last_response["hx-redirect"]]
  end

  def test_signing_in_and_out
    sign_in
    get "/"

    assert_equal 200, status
    submit "/logout"
    get "/"

    assert_equal 302, status
  end

  def test_signing_out_everywhere_ends_the_other_session_too
    sign_in
    other = Rack::Test::Session.new(app)
    other.get "/login"
    other.post "/login", { "_csrf" => other.last_response.body[/name="_csrf" value="([^"]+)"/, 1], "login" => "ines@ropewalk.example.org", "password" => Demo::Load::PASSWORD }
    submit "/logout", { "global_logout" => "t" }
    other.get "/"

    assert_equal 302, other.last_response.status
  end

  def test_too_many_wrong_passwords_lock_the_sign_in
    (Screens::SignIn::Gate::MOST_FAILURES + 1).times { sign_in(owner.email, "wrong") }
    sign_in

    assert_says(/Too many wrong passwords/)
    get "/"

    assert_equal 302, status
  end

  def test_a_form_without_its_token_is_refused_and_changes_nothing
    sign_in
    job = take_in
    [["/take-in", {}], ["/jobs/#{job.number}/end", { "how" => "declined" }], ["/settings", {}], ["/c/x", {}]].each do |path, fields|
      post path, fields

      assert_equal 403, status, path
    end
    assert_equal "taken_in", job.refresh.state
  end

  def test_only_the_owner_changes_the_settings
    sign_in(Demo::Load.mail("Tobiah Lund"))
    submit "/settings", { "bag_limit_percent" => "80" }

    assert_equal 409, status
    assert_equal 50, Services::Policies.now.number("bag_limit_percent")
  end

  def test_strict_headers_on_every_kind_of_answer
    sign_in
    ["/", "/login", "/nothing", "/app.css", "/healthz", "/jobs/abc"].each do |path|
      get path
      policy = last_response["content-security-policy"]

      assert_includes policy, "script-src 'self';"
      assert_includes policy, "style-src 'self';"
      assert_includes policy, "frame-ancestors 'none'"
      refute_match(/unsafe/, policy)
      assert_equal %w[nosniff same-origin DENY], last_response.headers.values_at("x-content-type-options", "referrer-policy", "x-frame-options")
    end
  end

  def test_the_session_cookie_is_kept_from_scripts_and_other_sites
    sign_in
    cookie = last_response["set-cookie"].to_s.downcase

    assert_includes cookie, "httponly"
    assert_includes cookie, "samesite=lax"
    assert_predicate Config::Settings.new("PUBLIC_URL" => "https://x.example"), :tls?
  end

  def test_production_refuses_the_demos_secret
    assert_raises(ArgumentError) { Config::Settings.new("APP_ENV" => "production").session_secret }
    assert_raises(ArgumentError) { Config::Settings.new("SESSION_SECRET" => "short").session_secret }
  end

  def test_codes_are_tried_only_so_often
    tries = (2 * Config::Web::Throttle::CODES_A_MINUTE) + 1 # more than a minute's worth, since one may end in between
    statuses = Array.new(tries) { get("/c/#{'0' * 26}").status }

    assert_equal [404, 429], statuses.uniq
  end

  def test_health
    get "/healthz"

    assert_equal 200, status
    get "/readyz"

    assert_equal({ "database" => true, "migrations" => true, "worker" => false }, JSON.parse(page))
  end
end
