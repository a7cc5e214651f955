# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# Who gets in, and under which headers.
class AccessTest < DatabaseTest
  include AsStaff

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
    other = Rack::Test::Session.new(app, HOST)
    other.get "/login"
    other.post "/login", { "_csrf" => other.last_response.body[/name="_csrf" value="([^"]+)"/, 1],
      "login" => "ines@ropewalk.example.org", "password" => Demo::Load::PASSWORD }
    submit "/logout", { "global_logout" => "t" }
    other.get "/"

    assert_equal 302, other.last_response.status
  end

  # A few slips cost nothing; then it takes longer and longer, from this address and at this account.
  def test_who_guesses_is_slowed_down_and_nobody_else_is
    4.times { sign_in(owner.email, "wrong") }

    assert_equal 429, status
    assert_says(/Too many wrong tries. Wait \d+ s/)
    assert_operator last_response["retry-after"].to_i, :>=, 1
    header "X-Forwarded-For", "198.51.100.4" # believed from nobody

    sign_in

    assert_equal 429, status, "the right password is not looked at meanwhile"
    sign_in(technician.email)

    assert_equal 302, status, "another account, from the same address"
    clear_cookies
    from("198.51.100.7") { sign_in }

    assert_equal 302, status, "the same account, from elsewhere"
  end

  def test_what_is_wrong_is_not_told_and_is_not_told_by_the_time_it_takes
    pages = [[owner.email, "wrong"], ["nobody@example.org", "wrong"],
             [account("gone@example.org", 3), Demo::Load::PASSWORD],
             [account("new@example.org", 1), Demo::Load::PASSWORD]].map do |login, password|
      clear_cookies
      compared = []
      real = BCrypt::Engine.method(:hash_secret)
      BCrypt::Engine.stub(:hash_secret, ->(*arguments) { (compared << 1) && real.call(*arguments) }) do
        sign_in(login, password)
      end

      assert_equal 1, compared.size, "the work that a password costs, for #{login}"
      assert_says(/do not go together/)
      assert_keeps login
      [status, page.sub(login, "").gsub(/value="[^"]+"/, "")]
    end

    assert_equal 1, pages.uniq.size
    assert_equal 401, pages.first.first
  end

  # @return [String] its address
  def account(email, status)
    Services::AddPerson.call(name: "Somebody", email: email, role: "technician", password: Demo::Load::PASSWORD,
      at: NOW).update(status_id: status).email
  end

  # Closed, or not confirmed yet: neither signs in, and who is signed in already does not go on.
  def test_an_account_that_is_not_open
    [1, 3].each do |closed|
      clear_cookies
      technician.update(status_id: 2)
      sign_in(technician.email)
      get "/"

      assert_equal 200, status
      technician.update(status_id: closed)
      get "/"

      assert_equal [302, "/login"], [status, last_response["location"]]
      clear_cookies
      sign_in(technician.email)

      assert_equal 401, status
    end
  end

  def test_sign_ins_failures_and_sign_outs_are_history
    sign_in(owner.email, "wrong")
    sign_in("nobody@example.org", "wrong")
    sign_in
    submit "/logout"
    seen = Models::Event.where(verb: Services::SignIns::VERBS).order(:id)
      .select_map(%i[verb subject_id person_id actor])

    assert_equal [["sign-in failed", owner.id, nil, "sign-in page"], ["sign-in failed", 0, nil, "sign-in page"],
                  ["signed in", owner.id, owner.id, owner.name],
                  ["signed out", owner.id, owner.id, owner.name]], seen
  end

  def test_who_may_look_only_reads_everything_and_sends_nothing
    Services::AddPerson.call(name: "Looks Only", email: "looks@example.org", role: "look_only",
      password: Demo::Load::PASSWORD, at: NOW)
    job = take_in
    sign_in("looks@example.org")
    ["/", "/jobs/#{job.number}", "/customers", "/shelf", "/cards", "/rack", "/sheets", "/settings", "/take-in"]
      .each do |path|
      get path

      assert_equal 200, status, path
    end
    ["/jobs/#{job.number}/end", "/take-in", "/jobs/#{job.number}/findings/pre-filter", "/shelf/count/begin", "/drafts",
     "/cards/send"].each do |path|
      submit path, { "how" => "declined" }

      assert_equal 403, status, path
    end
    assert_equal "taken_in", job.refresh.state
    submit "/logout"

    assert_equal 302, status
  end

  # Whatever lets them get so far, nothing of it stays.
  def test_who_may_look_only_writes_no_history
    looker = Services::AddPerson.call(name: "Looks Only", email: "looks@example.org", role: "look_only", password: "x",
      at: NOW)
    job = take_in

    assert_raises(Services::Forbidden) do
      DB.transaction(savepoint: true) do
        Services::SkipPlace.call(job.number, "pre-filter", reason: "hurry", by: looker, at: NOW)
      end
    end
    assert_empty Models::Skip.where(job_id: job.id)
  end

  def test_what_only_the_owner_does
    sign_in(technician.email)
    customer = new_machine.customer
    { "/settings" => { "bag_limit_percent" => "80" }, "/cards/words" => { "language" => "en" }, "/cards/offers" => {},
      "/customers/#{customer.id}/forget" => {},
      "/shelf/list" => { "list" => "number\n" } }.each do |path, fields|
      submit path, fields

      assert_equal 403, status, path
    end
    get "/shelf/list.csv"

    assert_equal 403, status
    assert_raises(Services::Forbidden) { Services::Forget.call(customer, by: technician, at: NOW) }
    assert_raises(Services::Forbidden) { Services::SavePolicies.call({}, by: technician, at: NOW) }
    assert_raises(Services::Forbidden) { Services::Words.keep("en", {}, by: technician, at: NOW) }
    assert_raises(Services::Forbidden) { Services::Offers.begin({}, by: technician, at: NOW) }
  end

  # The counter begins a rough sheet for a machine that nobody knows, and leaves full ones alone.
  def test_sheets_and_the_counter
    counter = Models::Person.first(role: "counter")
    rough = Services::BeginSheet.call(maker: "Ewer", model: "Nine", kind: :stick, by: counter, at: NOW)
    draft = Services::BeginDraft.of(rough, by: counter, at: NOW)
    full = sheet("Hallmoor Dart M")

    assert_equal draft, Services::EditDraft.call(draft, version: 0,
      by: counter) { |edit| edit.put_station("Nozzle", after: nil) }
    assert_raises(Services::Forbidden) { Services::BeginDraft.of(full, by: counter, at: NOW) }
    theirs = Services::BeginDraft.of(full, by: technician, at: NOW)

    assert_raises(Services::Forbidden) do
      Services::EditDraft.call(theirs, version: 0, by: counter) { |edit| edit.put_station("Nozzle", after: nil) }
    end
    assert_raises(Services::Forbidden) { Services::KeepDraft.call(theirs, note: "mine", by: counter, at: NOW) }
  end

  def test_nobody_does_anything_by_default
    job = take_in

    assert_raises(ArgumentError) { Services::History.note("did", job, by: nil, at: NOW) }
    assert_raises(Sequel::CheckConstraintViolation) do
      DB.transaction(savepoint: true) do
        Models::Event.insert(verb: "did", subject: "jobs", subject_id: job.id, at: NOW, actor: "customer")
      end
    end
  end

  def test_a_form_without_its_token_is_refused_and_changes_nothing
    sign_in
    job = take_in
    [["/take-in", {}], ["/jobs/#{job.number}/end", { "how" => "declined" }], ["/settings", {}], ["/c/x", {}]]
      .each do |path, fields|
      post path, fields

      assert_equal 403, status, path
    end
    assert_equal "taken_in", job.refresh.state
  end

  # Behind a proxy that speaks TLS the browser's origin is not what the server sees of itself.
  def test_forms_from_our_public_address_are_taken_and_others_are_not
    sign_in
    { SETTINGS.origins.first => 303, "http://evil.example" => 403, "https://127.0.0.1" => 403 }.each do |origin, code|
      get "/legend"
      post "/theme", { "_csrf" => token, "theme" => "dim" }, "HTTP_ORIGIN" => origin

      assert_equal code, status, origin
    end
    named = Config::Settings.new("PUBLIC_URL" => "https://shop.example/", "ALLOWED_HOSTS" => "bench.example")

    assert_equal %w[https://shop.example https://bench.example], named.origins
    assert_equal ["http://shop.example:8080"], Config::Settings.new("PUBLIC_URL" => "http://shop.example:8080").origins
  end

  def test_only_the_owner_changes_the_settings
    sign_in(Demo::Load.mail("Tobiah Lund"))
    submit "/settings", { "bag_limit_percent" => "80" }

    assert_equal 403, status
    assert_equal 50, Services::Policies.now["bag_limit_percent"]
  end

  def test_strict_headers_on_every_kind_of_answer
    sign_in
    ["/", "/login", "/nothing", Web::Assets.path("styles/base.css"), "/healthz", "/jobs/abc"].each do |path|
      get path
      policy = last_response["content-security-policy"]

      assert_includes policy, "script-src 'self';"
      assert_includes policy, "style-src 'self';"
      assert_includes policy, "frame-ancestors 'none'"
      refute_match(/unsafe/, policy)
      assert_equal %w[nosniff same-origin DENY], last_response.headers.values_at("x-content-type-options",
        "referrer-policy", "x-frame-options")
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
    nowhere = "/nonexistent/keys.json"

    assert_raises(ArgumentError) { Config::Settings.new("APP_ENV" => "production", "KEYS_FILE" => nowhere).keys }
    assert_raises(ArgumentError) do
      Config::Settings.new("APP_ENV" => "production", "KEYS_FILE" => nowhere,
        "SESSION_SECRET" => Config::Settings::DEMO_SECRET).keys
    end
    assert_raises(ArgumentError) { Config::Settings.new("SESSION_SECRET" => "short", "KEYS_FILE" => nowhere).keys }
  end

  def test_codes_are_tried_only_so_often
    tries = (2 * Web::Throttle::CODES_A_MINUTE) + 1 # more than a minute's worth, since one may end in between
    statuses = Array.new(tries) { get("/c/#{'0' * 26}").status }

    assert_equal [404, 429], statuses.uniq
  end

  def test_a_disk_that_takes_nothing_is_not_ready
    Config::Storage.stub(:writable?, false) { get "/readyz" }

    assert_equal [503, false], [status, JSON.parse(page)["storage"]]
  end

  # The bench, a job and the cards on a day whose midnight there is not (Africa/Cairo, tz database).
  def test_the_day_on_which_the_clocks_jump_at_midnight
    sign_in
    job = take_in
    cairo = TZInfo::Timezone.get("Africa/Cairo")
    Config::Zone.stub(:zone, cairo) do
      SETTINGS.stub(:time_zone, "Africa/Cairo") do
        Time.stub(:now, Time.utc(2026, 4, 24, 9)) do
          ["/", "/jobs/#{job.number}", "/cards", "/take-in"].each do |path|
            get path

            assert_equal 200, status, path
          end
        end
      end
    end
  end

  def test_health
    get "/healthz"

    assert_equal 200, status
    get "/readyz"

    assert_equal({ "database" => true, "migrations" => true, "storage" => true, "worker" => false }, JSON.parse(page))
  end
end
