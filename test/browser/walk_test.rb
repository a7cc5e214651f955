# frozen_string_literal: true

require "socket"
require_relative "../browser_helper"
require_relative "../support/database_door"

# Two people on one machine, a server that goes away, and a walk that leaves places out.
class WalkBrowserTest < BrowserTest
  def teardown
    stop_server
    super
  end

  def walk(job, at = nil)
    visit "#{@host}/jobs/#{job.number}/look-over#{"?at=#{at}" if at}"

    assert_css "#walk"
  end

  def finding(job, position)
    Models::Finding.first(job_id: job.id, position: position)
  end

  def tap_on(id)
    find("##{id}", visible: :all).trigger("click")
  end

  # Key by key, so that nothing is saved before Enter.
  def type_into(id, *keys)
    find("##{id}").click
    press(*keys)
  end

  def test_two_technicians_see_each_others_findings_without_a_reload
    job = take_in
    [["Tobiah Lund", :left], ["Marit Oyelaran", :right]].each do |name, session|
      Capybara.using_session(session) do
        sign_in(name)
        walk(job, "bin-seal")
      end
    end
    Capybara.using_session(:left) { tap_on("bin-seal-state-dirty") }
    Capybara.using_session(:right) do
      assert_css "#row-bin-seal .verdict", text: "Tobiah Lund"
      assert_css "#outcome", text: "1 of 13 places looked at"
      type_into("bin-fill_percent", "8") # half typed, not saved
    end
    Capybara.using_session(:left) { type_into("bin-fill_percent", "90", :Enter) }
    wait_for("the left one's bin") { finding(job, "bin") }
    Capybara.using_session(:right) do
      assert_css "#outcome", text: "2 of 13 places looked at"
      assert_field "bin-fill_percent", with: "8"
      press("0", :Enter)

      assert_css "#row-bin [role=alert]", text: "Tobiah Lund recorded"
      assert_field "bin-fill_percent", with: "80"
    end

    assert_equal 90, finding(job, "bin").seen[:fill_percent]
  end

  def test_places_are_left_out_with_a_reason_and_the_rest_is_fine
    job = take_in
    sign_in
    walk(job, "neck")
    wait_for("the neck") { focused == "row-neck" }
    press "k"
    wait_for("the reasons") { evaluate_script("document.activeElement.value") == "not fitted" }
    press :Tab
    press :Space

    assert_css "#row-neck .verdict", text: "Skipped: cannot be reached"
    find("#row-neck").send_keys("f")

    assert_css "#row-roll .verdict", text: "The roll spins freely."
    within("#outcome") { assert_text "Skipped: neck (cannot be reached)" }
    within("#outcome") { click_link "neck" }
    click_button "Look at it after all"

    refute_css "#row-neck .verdict"
    assert_equal ["roll"], Models::Finding.where(job_id: job.id).select_map(:position)
    assert_empty Models::Skip.where(job_id: job.id)
  end

  def test_what_was_found_last_time_stands_beside_todays
    first = take_in(new_machine("Ostrel Stride 36"))
    record(first, "brush-front", { standout_mm: 6 })
    first.update(state: "handed_over")
    sign_in
    Services::SavePolicies.call({ "length_unit" => "inch" }, by: owner, at: NOW)
    walk(take_in(first.machine), "brush-front")

    assert_css "#row-brush-front .due-note", text: "bristles beyond the guide bars 0.236 in"
    fill_in "brush-front-standout_mm", with: "1/4"
    press :Enter

    assert_css "#row-brush-front .verdict", text: "Bristles stand 0.25 in proud"
  end

  # The server is killed in the middle of the walk and started again; what was entered meanwhile arrives, once.
  def test_the_server_goes_away_and_comes_back
    COMPLAINTS.expect(/ERR_CONNECTION_(REFUSED|RESET)/) # as it goes, the last request is cut off
    job = take_in
    start_server
    sign_in_there
    walk(job, "roll")
    stop_server
    tap_on("roll-turns-drags")
    tap_on("roll-bristles-full")

    assert_css "#offline", text: "No connection to the server"
    press :Down
    wait_for("the neck, without a server") { focused == "row-neck" }
    press :Enter
    press "2"

    assert_css "#offline", text: "2 entries are kept in this browser"
    assert_nil finding(job, "roll")
    start_server
    wait_for("the roll") { finding(job, "roll") }
    wait_for("the neck") { finding(job, "neck") }

    refute_css "#offline", visible: true
    assert_equal [{ turns: "drags", bristles: "full" }, 1], [finding(job, "roll").seen, finding(job, "roll").version]
    assert_equal [{ state: "partly" }, 1], [finding(job, "neck").seen, finding(job, "neck").version]
  end

  def test_a_page_closed_while_the_server_is_away_sends_when_it_is_opened_again
    COMPLAINTS.expect(/ERR_CONNECTION_(REFUSED|RESET)/) # as it goes, the last request is cut off
    job = take_in
    start_server
    sign_in_there
    walk(job, "screen")
    stop_server
    tap_on("screen-state-clogged")

    assert_css "#offline", text: "1 entry is kept"
    start_server
    walk(job, "roll")
    wait_for("the screen") { finding(job, "screen") }

    assert_css "#row-screen .verdict", text: "Clogged", visible: :all
    assert_equal 1, finding(job, "screen").version
  end

  AWAY_SECONDS = 30

  # The server is there all the time, its database is not for half a minute: nothing that was entered is lost, the page
  # says what is going on, and nobody has to do anything when it is back.
  def test_the_database_goes_away_and_comes_back
    COMPLAINTS.expect(/status of 503/)
    job = take_in
    door = DatabaseDoor.new(TestDatabase.url)
    start_server("DATABASE_URL" => door.url)
    sign_in_there
    walk(job, "roll")
    door.shut
    since = Time.now
    tap_on("roll-turns-drags")
    press :Down
    wait_for("the neck, without a database") { focused == "row-neck" }
    press :Enter
    press "2"
    tap_on("screen-state-clogged")

    assert_css "#offline", text: "its database is away. 3 entries are kept in this browser"
    assert_css "#offline-next", text: /Next try in \d+ s/
    take_picture("database-away") if ENV["PICTURES"]
    @elsewhere = Net::HTTP.get_response(URI("#{@host}/c/#{'0' * 26}"))

    assert_equal ["503", true], [@elsewhere.code, @elsewhere["content-security-policy"].include?("default-src 'none'")]
    assert_match(/database is away/, @elsewhere.body)
    refute_match(%r{/gems/|sequel}i, @elsewhere.body)
    assert_nil finding(job, "roll")
    sleep [AWAY_SECONDS - (Time.now - since), 0].max
    door.open
    %w[roll neck screen].each { |place| wait_for(place, seconds: 75) { finding(job, place) } }

    refute_css "#offline", visible: true
    assert_equal [1, 1, 1], %w[roll neck screen].map { |place| finding(job, place).version }
    assert_equal "200", Net::HTTP.get_response(URI("#{@host}/healthz")).code
  ensure
    door&.shut
  end

  # What the server cannot take today it may take tomorrow: an answer that says neither "taken" nor what is wrong ends
  # nothing, and the other places go on.
  def test_an_entry_that_the_server_stumbles_over_is_kept_and_tried_again
    COMPLAINTS.expect(/status of 500/)
    job = take_in
    sign_in
    walk(job, "roll")
    stumbles = 2
    browser = page.driver.browser
    browser.network.intercept(pattern: "*/findings/roll*")
    browser.on(:request) do |request|
      stumbles -= 1
      stumbles >= 0 ? request.respond(responseCode: 500, body: "Internal error") : request.continue
    end
    tap_on("roll-turns-drags")

    assert_css "#offline", text: "1 entry is kept in this browser: the server could not take it (error 500)"
    tap_on("neck-state-partly")
    wait_for("the neck") { finding(job, "neck") }

    assert_nil finding(job, "roll")
    click_button "Try now"
    wait_for("the roll") { finding(job, "roll") }

    refute_css "#offline", visible: true
    assert_equal({ turns: "drags" }, finding(job, "roll").seen)
  end

  private

  def start_server(env = {})
    @port ||= TCPServer.open("127.0.0.1", 0) { |socket| socket.addr[1] }
    @host = "http://127.0.0.1:#{@port}"
    @server = Process.spawn({ "PORT" => @port.to_s, **env }, "bundle", "exec", "puma", "-C", "config/puma.rb",
      chdir: TestDatabase::ROOT, pgroup: true, %i[out err] => File::NULL)
    wait_for("the server") do
      TCPSocket.open("127.0.0.1", @port).close || true
    rescue StandardError
      false
    end
  end

  def stop_server
    return unless @server

    Process.kill("KILL", -@server)
    Process.wait(@server)
    @server = nil
  end

  def sign_in_there
    visit "#{@host}/login"
    fill_in "E-mail", with: Demo::Load.mail("Ines Varga")
    fill_in "Password", with: Demo::Load::PASSWORD
    click_button "Sign in"

    assert_css "h1", text: /Today|Next open day/
  end
end
