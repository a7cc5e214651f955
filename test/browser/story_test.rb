# frozen_string_literal: true

# Group: slow (the whole life of a machine, twice)

require "mail"
require_relative "../browser_helper"
require_relative "../support/in_no_log"

# From a machine on the counter to a card in the post and its answer, through the real interface.
class StoryTest < BrowserTest
  include InNoLog

  # What is seen on the walk, place by place: the keys of the measure, and what a finger would tap.
  WALK = { "roll" => %w[1 roll-turns-free], "neck" => %w[1 neck-state-clear], "wand" => %w[1 wand-state-clear],
           "contacts" => %w[2 contacts-state-dirty], "bin" => ["70", nil], "bin-seal" => %w[2 bin-seal-state-dirty],
           "screen" => %w[1 screen-state-clear], "cones" => %w[1 cones-state-clear],
           "cyclone-gasket" => %w[1 cyclone-gasket-state-clean],
           "pre-filter" => %w[5 pre-filter-grey-5],
           "motor" => %w[1 motor-state-even], "battery" => %w[1 battery-state-sound] }.freeze

  def teardown
    stop_worker
    super
  end

  def test_by_keyboard_at_the_bench
    in_no_log(worker_log) do
      story { look_over_by_keyboard }
      whatever_goes_wrong
    end
  end

  def test_by_touch_on_a_phone
    story(width: 390) { look_over_by_touch }
  end

  private

  def worker_log
    SETTINGS.state_dir.join("story-worker.log").to_s
  end

  # Errors of every kind, each with something in it that must not come out.
  def whatever_goes_wrong
    job = Models::Job.order(:id).last
    code = Outbox::JobLink.of(job)[%r{[^/]+\z}]
    sign_in
    visit "/find?q=Quenby%20Test"
    visit "/jj/#{code}"
    visit "/c/#{code}"
    visit "/j/#{code}"
    Capybara.using_session(:nobody) { visit "/customers/#{job.customer_id}?name=Quenby%20Test" }
    broken = ->(*) { raise KeyError, "key not found: Quenby Test, 555-0177" }
    Services::FindCustomers.stub(:call, broken) { visit "/customers?q=Quenby" }

    assert_text "Something went wrong"
    COMPLAINTS.clear # of the 500
    DB.transaction(savepoint: true) do
      Models::Customer.create(name: "Quenby Test", phone: "555-0177", email: "x" * 300, created_by: owner.id)
    end
  rescue Sequel::Error => e
    Config::Report.error(e)
  end

  def story(width: 1280)
    @width = width
    resize(width, 844)
    Models::Due.running.update(snoozed_until: today + 1000) # nobody else's card on this day
    sign_in_by_form
    take_in_somebody_new
    yield
    facts_after_looking
    settle
    work
    close_up
    send_the_card
    answer
  end

  def take_in_somebody_new
    press "t"

    assert_css "h1", text: "Take in"
    fill_in "Customer or machine", with: "Quenby Test"
    click_link "New customer “Quenby Test”"
    fill_in "Phone", with: "555-0177"
    fill_in "E-mail", with: "quenby@example.org"
    find("summary", text: "Address and reminders").click
    check "Remind by e-mail"
    fill_in "Model", with: "hallmor dart"
    find(".picker-hits button", text: "Hallmoor Dart M").click
    fill_in "Serial no.", with: "HM-77001"
    find("summary", text: "When and where it was bought").click
    execute_script("document.querySelector('#machine-bought_on').value = '#{(today - 400).iso8601}'")
    click_button "pulses"
    find("summary", text: "How it is used").click
    fill_in "Hours a week", with: "2"
    check "pets that shed"
    click_button "Take it in"

    assert_text "Tick this once it is unplugged"
    assert_field "Complaint", with: "pulses"
    check "None of these"
    check "Made safe: the battery is out"
    click_button "Take it in"

    assert_css "#row-roll"
  end

  def job
    Models::Job.order(:id).last
  end

  def finding(position)
    Models::Finding.first(job_id: job.id, position: position)
  end

  def look_over_by_keyboard
    WALK.each do |position, (keys, _)|
      wait_for("the place #{position}") { focused == "row-#{position}" }
      press :Enter
      press keys
      wait_for("a finding at #{position}") { position == "bin" || finding(position) }
      press :Enter
    end
    wait_for("the last place") { focused == "row-post-filter" }
    press :Enter
    press :Tab
    press :Space
    wait_for("the torn filter") { finding("post-filter") }
    reload_in_the_middle
    press :Enter

    wait_for("the end of the walk") { focused == "finish" }
    press :Enter
  end

  # What was saved survives; the walk goes on where it was.
  def reload_in_the_middle
    visit "#{current_path}?at=post-filter"

    assert_checked_field "Torn or out of shape"
    wait_for("the place in hand") { focused == "row-post-filter" }
    press :Enter
  end

  def look_over_by_touch
    WALK.each do |position, (keys, tap)|
      go_to(position)
      tap ? find(:radio_button, tap, visible: :all).trigger("click") : fill_in("bin-fill_percent", with: keys)
      execute_script("document.activeElement.blur()") unless tap
      wait_for("a finding at #{position}") { finding(position) }
    end
    go_to("post-filter")
    check "Torn or out of shape"
    wait_for("the torn filter") { finding("post-filter") }
    click_button "Done: go to estimate"
  end

  def go_to(position)
    find(".ribbon-narrow a[data-position='#{position}']").trigger("click")

    assert_css "#row-#{position}"
  end

  def facts_after_looking
    assert_css "h2", text: "Estimate"
    marks = Models::Finding.where(job_id: job.id).select_hash(:position, :verdict)

    assert_equal %w[wash replace clean clean clean leave],
      marks.values_at("pre-filter", "post-filter", "bin", "contacts", "bin-seal", "roll")
    assert_equal 13, marks.size
    assert_equal "looked_over", job.state
  end

  def settle
    within("#item-#{item(job, 'post-filter').id}") do
      assert_css ".part-chosen", text: "HD-2020"
      find("summary", text: "Look-alikes that do not fit").click

      assert_text "HD-3020: does not fit, has no twist lock"
    end
    within("#item-#{item(job, 'pre-filter').id}") do
      find("button", text: "New one now: Pre-motor filter, Dart M").click
    end

    assert_css "#item-#{item(job, 'pre-filter').id} .part-chosen", text: "HD-2010"
    within("#item-#{item(job, 'pre-filter').id}") { find("button", text: "Wash it").click }

    assert_css "#item-#{item(job, 'pre-filter').id} .part-chosen", text: "dries 24 h"
    click_button "Agreed: start work"

    assert_css "h2", text: "Work"
    refute_nil job.promise_at
  end

  def work
    @stock = part("HD-2020").stock

    assert_equal %w[bin pre-filter contacts bin-seal post-filter], job.work_items.map(&:position)
    { "bin" => "Cleaned", "pre-filter" => "Washed: to the rack", "contacts" => "Cleaned", "bin-seal" => "Cleaned",
      "post-filter" => "Fitted" }.each do |position, words|
      within("#item-#{item(job, position).id}") { click_button words }

      assert_css "#item-#{item(job, position).id}.work-done"
    end
    assert_text(/Rack slot \d+/)
    assert_equal ["waiting", @stock - 1], [job.state, part("HD-2020").stock]
  end

  def close_up
    close_it_up

    assert_text "Still wet: pre-motor filter"
    two_days_later
    visit "/jobs/#{job.number}"
    close_it_up

    assert_css "summary", text: "Next due"
    assert_equal 1, Models::Fitting.in_place.first(machine_id: job.machine_id, position: "pre-filter").wash_count
    assert_equal [today, part("HD-2020").id], Models::Fitting.in_place.first(machine_id: job.machine_id,
      position: "post-filter").values.values_at(:fitted_on, :part_id)
    assert_equal [today >> 24, today >> 24], due("post-filter", "replace").values.values_at(:due_on, :late_on)
    assert_equal (today + (((today >> 1) - today) * 0.75).floor), due("pre-filter", "wash").due_on
    assert_equal "%PDF", paper("labels.pdf")
    assert_equal "%PDF", paper("tag.pdf")
    click_button "Hand over"

    assert_text "Handed over"
  end

  def due(position, task)
    Models::Due.running.first(machine_id: job.machine_id, position: position, task: task)
  end

  def two_days_later
    earlier = %i[washed_at dry_at ready_at].to_h { |name| [name, Sequel.lit("#{name} - interval '2 days'")] }
    Models::RackStay.where(off_at: nil).update(earlier)
  end

  def paper(name)
    evaluate_async_script("fetch('/jobs/#{job.number}/#{name}').then((answer) => answer.text()).then((text) => " \
                          "arguments[0](text.slice(0, 4)))")
  end

  # Who was just here hears nothing. Two months later the filter's life of washes, which comes whatever is seen, is
  # over; the roll, found to be good, is not due though it is more than a year old.
  def send_the_card
    always_open
    visit "/cards"

    assert_text "No card leaves today."
    Models::Job.where(id: job.id).update(handed_over_at: Sequel.lit("handed_over_at - interval '61 days'"))
    visit "/cards"

    assert_css ".batch-card", count: 1, text: "Quenby Test"
    click_link "Preview"

    assert_css ".letter", text: "a new pre-motor filter"
    assert_no_css ".letter", text: "brush roll"
    click_button "Send 1 card"

    assert_text "Writing the cards"
    @worker = Process.spawn(File.join(TestDatabase::ROOT, "bin/worker"), pgroup: true, out: worker_log, err: worker_log)

    assert_text "1 sent"
    assert_text "Finished"
    visit "/cards"

    assert_text "No card leaves today."
    assert_equal [1, 1], [outbox("mail").size, Models::Card.where(customer_id: job.customer_id).count]
  end

  def answer
    Capybara.reset_sessions!
    resize(@width, 844)
    visit URI(Mail.read(outbox("mail").first).text_part.decoded[%r{http://\S+/c/\w+}]).path

    assert_css "h1", text: "Hello, Quenby Test"
    assert_operator evaluate_script("document.documentElement.scrollWidth"), :<=, @width
    fill_in "A word to us", with: "On Friday"
    click_button "I will come by"

    assert_text "You told us: I will come by"
    assert_equal [["will_come", "On Friday"]], Models::Answer.order(Sequel.desc(:id)).limit(1).select_map(%i[kind note])
    assert_equal today + Services::AnswerCard::EXPECTED_DAYS, due("pre-filter", "replace").snoozed_until
  end

  def stop_worker
    return unless @worker

    Process.kill("TERM", -@worker)
    Process.wait(@worker)
  end
end
