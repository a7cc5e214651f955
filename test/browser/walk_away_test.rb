# frozen_string_literal: true

# Group: slow (a server that is killed, a database that is away for half a minute)

require "socket"
require_relative "../browser_helper"
require_relative "../support/database_door"
require_relative "../support/on_the_walk"

# A walk on which the server or its database goes away and comes back: nothing that was entered is lost.
class WalkAwayTest < BrowserTest
  include OnTheWalk

  def teardown
    stop_server
    super
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
