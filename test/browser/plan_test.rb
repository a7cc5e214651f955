# frozen_string_literal: true

require_relative "../browser_helper"

# Stories of the plan: a rack that is full, a part that comes late, somebody ill, a question on the phone, and a job
# that is pinned.
class PlanStoriesTest < BrowserTest
  def setup
    super
    Services::MakePlan.call(at: Time.now)
    sign_in
  end

  def plan
    Services::MakePlan.call(at: Time.now)
    visit "/plan"
  end

  # Of a job with a promise, on another day: what is planned for the last hour of today may not fit any more when it is
  # pinned there.
  def step_to_come
    promised = Models::Job.in_shop.exclude(promise_at: nil).select_map(:number)
    Queries::PlannedJobs.steps.select { |step| promised.include?(step.job) && Config::Zone.date(step.from) > today }
      .min_by(&:from)
  end

  def test_a_job_is_pinned_put_off_and_left_to_the_plan_again
    plan
    step = step_to_come
    find("a.lane-block[href='/plan/#{step.job}/#{step.key}']", match: :first).send_keys(:enter)

    assert_selector "#step h2", text: step.job.to_s
    click_link "Pin it where it is"

    assert_text(/It breaks (no|\d+) promise/) # which hangs on the hour
    find(:button, text: "Move it").click

    assert_text "stays there"
    assert_selector "circle.lane-pin", visible: :all
    find("#step summary", text: "Another day or hour").click
    later = Screens::Plan::Moments.write(Config::Zone.at(Config::Zone.date(Time.now) + 20, 10))
    page.execute_script("document.querySelector('#not_before').value = '#{later}'")
    click_button "What would that break?"

    assert_text(/It breaks \d+ promise/)
    click_link "Leave it"
    click_button "Leave it to the plan"

    assert_no_text "stays there"
  end

  def test_somebody_is_ill_and_promises_in_danger_say_what_would_save_them
    plan
    one, other = Models::Person.may_sign_in.where(at_bench: true).order(:id).limit(2).all
    find("summary", text: "Somebody is ill").click
    select one.name, from: "Who", match: :first
    till = Screens::Plan::Moments.write(Config::Zone.at(Config::Zone.date(Time.now) + 12, 18))
    page.execute_script("document.querySelector('#till').value = '#{till}'")
    fill_in "Why (nobody has to say)", with: "a cold"
    click_button "Plan without them"

    assert_text "The plan is made anew without them."
    plan

    assert_selector "li", text: "#{one.name}:"
    back = Config::Zone.at(Config::Zone.date(Time.now) + 12, 18)

    assert_empty Queries::PlannedJobs.steps.select { |step| step.person == one.id && step.from < back }
    assert_operator Queries::PlannedJobs.steps.count { |step| step.person == other.id }, :>, 4
    click_button "There after all"

    assert_text "Everybody is there."
  end

  # The part of an agreed job was to come two days ago; the customer is told with one press.
  def test_a_part_comes_late_and_the_customer_is_told
    job = settled({ "post-filter" => { grey: 5, torn: true } })
    Models::StockLevel.dataset.update(pieces: 0)
    job.update(promise_at: Time.now + 3600)
    plan

    assert_selector ".danger", text: job.number.to_s
    within(".danger", text: job.number.to_s) { click_button "Tell them, and promise that" }

    wait_for("the promise") { job.refresh.promise_at > Time.now + 43_200 }
    plan

    assert_no_selector ".danger", text: job.number.to_s
  end

  def test_asked_on_the_phone
    machine = Models::Machine.exclude(id: Models::Job.in_shop.select(:machine_id)).order(:id).first
    visit "/machines/#{machine.id}"
    click_link "When could it be ready?"
    all("input[name=brought]").last.click

    assert_selector ".ask-ready", text: "Ready by"
    first = find(".ask-ready").text
    due = all("input[name='work[]']:checked", minimum: 0).size
    find("input[name='work[]']:not(:checked)", match: :first).click

    assert_selector "input[name='work[]']:checked", count: due + 1
    assert_selector ".ask-ready", text: "Ready by"
    assert_match(/\d\d:\d\d/, first)
  end

  # Every slot is taken: the promise waits for one, and the wash itself goes elsewhere.
  def test_a_wash_on_a_full_rack
    job = settled({ "pre-filter" => { grey: 5 } })
    washing = item(job, "pre-filter")
    Services::ChoosePart.call(job.number, washing.id, choice: "wash", by: owner, at: Time.now)
    Models::RackSlot.free.update(closed: true)
    visit "/jobs/#{job.number}"
    click_button "Washed", match: :first

    assert_text "Every slot on the rack is taken"
    fill_in "Dry it weighs, g", with: "62,5", match: :first
    fill_in "It dries elsewhere, at", with: "window sill", match: :first
    click_button "Washed", match: :first

    assert_text "Window sill"
    visit "/rack"

    assert_selector "h2", text: "Elsewhere"
    assert_text "Dry it weighed 62.5 g."
  end
end
