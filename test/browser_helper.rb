# frozen_string_literal: true

# Needs: chromium-headless-shell

# Seconds in which a page may begin to change after a press; the matchers wait for what is expected anyway.
ENV["FERRUM_CLICK_WAIT"] ||= "0.03"
ENV["FERRUM_GOTO_WAIT"] ||= "0.03"

require_relative "test_helper"
require "capybara/minitest"
require "capybara/cuprite"
require "rack/test"
require "stringio"

UprightBench::LOADER.eager_load # the server's threads load nothing while the browser waits

# What the browser complained of: refused by the page's policy, thrown by a script, or written as an error.
class Complaints
  HEARD = /"method":"(Log\.entryAdded|Runtime\.exceptionThrown|Runtime\.consoleAPICalled)"/

  def initialize
    @lines = []
    @expected = []
  end

  # What a test brings about itself: told in any order, also after the test has seen that all is well again.
  def expect(*patterns)
    @expected.concat(patterns)
  end

  def puts(line)
    @lines << line if line.is_a?(String) && line.match?(HEARD)
  end

  def clear
    @lines.clear
    @expected.clear
  end

  def all
    heard.reject { |complaint| @expected.any? { |pattern| complaint.match?(pattern) } }
  end

  private

  # A refused form answers 4xx, which the browser notes too; that is no complaint.
  def heard
    @lines.dup.map { |line| JSON.parse(line[line.index("{")..]) }.filter_map do |message|
      entry = message.dig("params", "entry")
      if entry && (entry["level"] != "error" || (entry["source"] == "network" && entry["text"]
        .match?(/status of 4\d\d/)))
        next
      end
      next if message["method"] == "Runtime.consoleAPICalled" && message.dig("params", "type") != "error"

      (entry || message.fetch("params")).to_s[0, 400]
    end
  end
end

# A wait ends when the thing has happened; this is for a machine ten times slower than usual.
PATIENCE_SECONDS = 60

# Tests press and write only once the browser has loaded the page, with what it fetches by itself: until then buttons
# still move, a press may miss its button, and nobody listens to a key yet.
module OnWholePages
  WHOLE = "document.readyState == 'complete' && !document.querySelector('[hx-trigger=load].htmx-request')"

  %i[click set select_option send_keys].each do |name|
    define_method(name) do |*arguments, **options|
      OnWholePages.wait(driver)
      super(*arguments, **options)
    end
  end

  def self.wait(driver)
    Timeout.timeout(PATIENCE_SECONDS, nil, "the page is still being loaded") do
      sleep 0.01 until driver.evaluate_script(WHOLE)
    end
  end
end
Capybara::Cuprite::Node.prepend(OnWholePages)

COMPLAINTS = Complaints.new
Capybara.register_driver(:chromium) do |app|
  options = { "disable-gpu" => nil, "disable-quic" => nil, "disable-background-networking" => nil,
              "host-resolver-rules" => "MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost" }
  options["no-sandbox"] = nil if Process.uid.zero?
  driver = Capybara::Cuprite::Driver.new(app, browser_path: ENV.fetch("CHROMIUM", "/usr/bin/chromium-headless-shell"),
    window_size: [1280, 800], browser_options: options,
    js_errors: true, timeout: PATIENCE_SECONDS,
    process_timeout: PATIENCE_SECONDS, logger: COMPLAINTS)
  # Its own default takes the Origin header off fetch requests, which the server's checks need.
  driver.options[:browser_options].delete(:"disable-web-security")
  driver
end
UprightBench::Web::OwnBuffer.install
Capybara.server = :puma, { Silent: true, Threads: "1:4" }
Capybara.server_host = "127.0.0.1"
REQUEST_LOG = StringIO.new
Capybara.app = UprightBench::App.build(log: REQUEST_LOG)
Capybara.default_driver = :chromium
Capybara.default_max_wait_time = PATIENCE_SECONDS
Capybara.default_retry_interval = 0.05 # asked a hundred times a second, a page has time for little else

# Drives the real interface in a real browser; fails on any complaint of the browser.
class BrowserTest < CommittedTest
  include Capybara::DSL
  include Capybara::Minitest::Assertions

  AXE = File.read(File.expand_path("vendor/axe.min.js", __dir__))

  # The block's pages run no scripts of their own.
  def without_scripts
    page.driver.browser.page.command("Emulation.setScriptExecutionDisabled", value: true)
    visit "data:text/html,<title>off</title><script>document.title='on'</script>"

    assert_title "off"
    yield
  ensure
    page.driver.browser.page.command("Emulation.setScriptExecutionDisabled", value: false)
  end

  def setup
    super
    COMPLAINTS.clear
    resize(1280, 800)
  end

  def teardown
    complaints = COMPLAINTS.all
    strangers = hosts - %w[127.0.0.1 localhost]
    Capybara.reset_sessions!

    assert_empty complaints
    assert_empty strangers
    super
  end

  def resize(width, height)
    page.driver.resize(width, height)
  end

  def hosts
    page.driver.network_traffic.map(&:url).grep(/\Ahttp/).filter_map { |url| URI(url).host }.uniq
  end

  # With a session that the application gave to a form sent from here; sign_in_by_form does it in the browser. The page
  # stays where it was.
  def sign_in(name = "Ines Varga")
    client = Rack::Test::Session.new(Capybara.app, "127.0.0.1")
    token = client.get("/login").body[/name="_csrf" value="([^"]+)"/, 1]
    client.post("/login", { "_csrf" => token, "login" => Demo::Load.mail(name), "password" => Demo::Load::PASSWORD })

    assert_predicate client.last_response, :redirect?
    cookie = client.last_response["set-cookie"][/upright_bench=([^;]+)/, 1]
    page.driver.set_cookie("upright_bench", cookie, domain: "127.0.0.1", path: "/", httponly: true)
  end

  def sign_in_by_form(name = "Ines Varga")
    visit "/login"
    fill_in "E-mail", with: Demo::Load.mail(name)
    fill_in "Password", with: Demo::Load::PASSWORD
    click_button "Sign in"

    assert_css "h1", text: /Today|Next open day/
  end

  def press(*keys)
    OnWholePages.wait(page.driver)
    page.driver.browser.keyboard.type(*keys)
  end

  # The last of the work: the complaint is gone, the rest passes.
  def close_it_up
    find(:button, text: /close up/i)
    click_button "It is gone" if page.has_button?("It is gone", class: "btn-act", wait: 0)
    page.has_no_button?("It is gone", class: "btn-act")
    find(:button, text: /close up/i).click
  end

  def focused
    evaluate_script("document.activeElement.id || document.activeElement.tagName")
  end

  # For looking at it: where no test goes.
  def take_picture(name)
    page.driver.save_screenshot(File.join(ENV.fetch("PICTURES"), "#{name}.png"))
  end

  def wait_for(words, seconds: PATIENCE_SECONDS)
    deadline = seconds_by_clock + seconds
    until yield
      flunk "waited in vain for #{words}" if seconds_by_clock > deadline
      sleep 0.03
    end
  end

  # @return [Array<String>] what axe finds against WCAG 2.2 A and AA
  def axe
    page.driver.execute_script(AXE)
    page.driver.evaluate_async_script(<<~JS)
      const done = arguments[0];
      axe.run(document, { resultTypes: ["violations"], runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"] })
        .then((result) => done(result.violations.map((one) => `${one.id}: ${one.nodes.map((node) => node.target.join(" ") + " " + (node.any[0]?.message || "")).slice(0, 3).join("; ")}`)));
    JS
  end
end
