# frozen_string_literal: true

# Group: slow (a shop from nothing, with processes of its own)

require "open3"
require_relative "../browser_helper"
require_relative "../support/real_server"

# The first day of a shop of one's own, as a newcomer goes through it: from an empty database to the first machine
# handed over, with its next card planned. Nothing of the demo is there. It counts what is typed and pressed.
class FirstDayTest < BrowserTest
  PHRASE = "three kettles on a quay"

  def setup
    super
    @letters = @presses = 0
    @folder = Dir.mktmpdir("ub", "/var/tmp")
  end

  def teardown
    Capybara.app_host = nil
    @server&.stop
    super
  ensure
    FileUtils.rm_rf(@folder)
  end

  def test_from_an_empty_shop_to_a_machine_handed_over
    begun = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    in_an_empty_shop do |address|
      open_the_shop(address)
      begin_a_model
      put_a_part_on_file
      take_it_in
      look_it_over
      do_the_work
      hand_it_over
      the_next_card_is_planned
    end
    seconds = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - begun).round
    puts "First day: #{@letters} letters typed, #{@presses} presses, #{seconds} s." if ENV["SAY"]

    assert_operator @letters, :<, 300
    assert_operator @presses, :<, 45
  end

  private

  def in_an_empty_shop
    TestDatabase.empty_one("first_day") do |database|
      env = { **database, "STATE_DIR" => @folder, "SESSION_SECRET" => nil, "KEYS_FILE" => nil }
      @server = RealServer.new({ **env, "DATABASE_OWNER_URL" => nil })
      Capybara.app_host = "http://127.0.0.1:#{@server.port}"
      words, status = Open3.capture2e({ **env, "PUBLIC_URL" => Capybara.app_host }, "bundle", "exec", "rake",
        "db:migrate", "shop:open", chdir: TestDatabase::ROOT)

      assert_predicate status, :success?, words
      @server.start
      yield words[%r{/first/\S+}]
    ensure
      @server&.stop
      @server = nil
    end
  end

  def type(label, words)
    @letters += words.length
    fill_in label, with: words
  end

  def push(words)
    @presses += 1
    click_button words
  end

  def follow(words)
    @presses += 1
    click_link words
  end

  def set(label)
    @presses += 1
    check label
  end

  def open_the_shop(address)
    visit address
    { "Your name" => "Orla Tweed", "E-mail" => "orla@tweed.example", "Password" => PHRASE,
      "Password once more" => PHRASE, "Name of the shop" => "Tweed Sweepers", "Street" => "4 Upper Quay",
      "Town" => "Tweed", "Phone" => "902 425 0100" }.each { |label, words| type(label, words) }
    @presses += 1
    select "Canada", from: "Country"
    push "Open the shop"

    assert_css "h1", text: "Sign in"
    type "E-mail", "orla@tweed.example"
    type "Password", PHRASE
    push "Sign in"

    assert_text "To begin with"
  end

  def begin_a_model
    follow "Begin the models that you see most"
    @presses += 1
    first(:link, "New sheet").click
    type "Maker", "Brell"
    type "Model", "Swift 2"
    @presses += 1
    choose "Cordless stick"
    push "Start"

    assert_text "Draft of Brell Swift 2"
    push "Save version"

    assert_css "h1", exact_text: "Brell Swift 2"
  end

  def put_a_part_on_file
    visit "/shelf/new"
    type "Number", "BF-2"
    type "Name", "Pre-motor filter"
    type "Price, $", "16.50"
    push "Put on file"

    assert_css "h1", text: "Pre-motor filter"
    type "Pieces", "3"
    push "Put on the shelf"

    assert_text "3"
  end

  def take_it_in
    visit "/"
    follow "Take the first machine in"
    type "Customer or machine", "Wendel Hask"
    follow "New customer “Wendel Hask”"
    type "E-mail", "wendel@example.org"
    @presses += 1
    find("summary", text: "Address and reminders").click
    set "Remind by e-mail"
    type "Model", "swift"
    @presses += 1
    find(".picker-hits button", text: "Brell Swift 2").click
    push "weak everywhere"
    set "None of these"
    set "Made safe: the battery is out"
    push "Take it in"

    assert_text "Done: go to estimate"
  end

  # Two places that need something; the rest is fine, station by station.
  def look_it_over
    see("bin") { type "bin-fill_percent", "90" }
    see("pre-filter") { set "Torn or out of shape" }
    visit "#{current_path}?at=roll"
    6.times do
      push "All the rest is fine"

      assert_no_button "All the rest is fine", disabled: true
      on = first(:link, /On to/, minimum: 0, wait: 0) or break
      @presses += 1
      on.click
    end
    push "Done: go to estimate"
  end

  def see(place)
    visit "#{current_path}?at=#{place}"
    yield
    execute_script("document.activeElement.blur()")

    assert_css ".summary, aside, main", text: /[12] of 12|looked at/
  end

  def do_the_work
    assert_css "h2", text: "Estimate"
    follow "Another part"
    type "other-q", "BF-2"
    @presses += 1
    find("button", text: "Pre-motor filter").click
    push "Put the estimate on the customer's page"
    push "Send it by e-mail"

    assert_text(/On its way|Told by e-mail/)
    push "Agreed: start work"

    assert_css "h2", text: "Work"
    push "Cleaned"
    push "Fitted"
    push "It fits this model"
  end

  def hand_it_over
    push "It is gone"
    push "The rest passes: close up"

    assert_css "summary", text: "Next due"
    push "Hand over"

    assert_text "Handed over"
  end

  def the_next_card_is_planned
    visit "/customers?q=Wendel"
    @presses += 1
    first("main a", text: /Wendel|Brell/).click

    assert_text(/wash\W+pre-motor filter/i)
  end
end
