# frozen_string_literal: true

# Group: slow (long stories in a browser)

require_relative "../browser_helper"

# Searches for a fault at the bench: by keys, by buttons, without scripts, and to a stop.
class FindFaultBrowserTest < BrowserTest
  # A job of a model, taken in with a complaint, made safe and not looked over.
  def take_in(model, complaint)
    sheet = Models::Sheet.first(model_name: model)
    job = Services::TakeIn.call({ machine: { sheet_id: sheet.id, serial_number: SecureRandom.hex(4) },
                                  customer_id: Models::Customer.min(:id), complaint: complaint,
                                  use: { hours_per_week: 2.0, traits: [], allergy: false },
                                  request_key: SecureRandom.uuid }, by: owner, at: Time.now)
    sign_in("Tobiah Lund")
    visit "/jobs/#{job.number}"
    click_on "Find the fault"
    job
  end

  def seen(job, place)
    Models::Finding.first(job_id: job.id, position: place)&.seen
  end

  def press(*keys)
    keys.each { |key| find("body").send_keys(key) }
  end

  # In nine of ten it is the filter, and that is what is looked at first: by keys alone.
  def test_it_pulses_and_it_is_the_filter
    job = take_in("Dart M", "pulses")

    assert_empty axe
    press("1")

    assert_css ".fault-next h2", text: "Lights"
    press("n")

    assert_css ".fault-next h2", text: "Pre-motor filter"
    assert_empty axe
    press("f")

    assert_css "h2", text: "Pre-motor filter: clogged"
    assert_equal 5, seen(job, "pre-filter")[:grey]
    press("f")

    assert_text "That was it"
    visit "/jobs/#{job.number}"

    assert_text "The fault behind “pulses”: Pre-motor filter: clogged."
  end

  # Weak on the floor, fine at the hose: the head, and there its neck.
  def test_weak_on_the_floor_and_fine_at_the_hose
    job = take_in("Dart M", "weak on the floor")
    click_on "weak on the floor"

    assert_css ".fault-next h2", text: "Settings"
    click_on "Set right"

    assert_css ".fault-next h2", text: "Lights"
    click_on "No code"

    assert_css ".fault-next h2", text: "At the end of the hose or wand"
    click_on "It pulls hard at the open end"

    assert_css "li", text: "At the end of the hose or wand: it pulls hard at the open end"
    until first(".fault-next h2").text.start_with?("Neck")
      before = first(".fault-next h2").text
      click_on "Clear"

      assert_no_css ".fault-next h2", text: before, exact_text: true
    end
    find(".fault-answers button", text: "blocked", exact_text: false, match: :first).click

    assert_css "h2", text: /Neck: (partly )?blocked/
    assert_includes %w[partly blocked], seen(job, "neck")[:state]
  end

  # A light makes a suspicion: the place is looked at next, and only what is seen there is a finding. Then what may be
  # behind it is asked for.
  def test_a_light_code
    job = take_in("Dart M", "pulses")
    click_on "pulses"
    click_on "amber, steady: filter not in its place"

    assert_css "li", text: "Lights: it shows a code, missing, loose or not locked"
    assert_css "#next h2", text: "Pre-motor filter"
    assert_nil seen(job, "pre-filter")
    find(".fault-answers button", text: "missing, loose or not locked").click

    assert_css "#next h2", text: "Pre-motor filter: missing, loose or not locked"
    assert seen(job, "pre-filter")[:loose]
    click_on "Mended, and still there"
    click_on "Found: clogged"

    assert_css "#next", text: "What may be behind it, so that it does not come back: Bin (full)"
    assert_empty axe
  end

  # Two faults: one is mended, the complaint stays, and the search goes on to the other; without scripts.
  def test_two_faults_without_scripts
    job = take_in("Dart M", "no suction")
    without_scripts do
      visit "/jobs/#{job.number}/fault"
      click_on "no suction"
      click_on "No code"
      first(".fault-answers button", text: /Found|blocked/).click
      click_on "Mended, and still there"

      assert_text "mended, and still there"
      first(".fault-answers button", text: /Found|blocked/).click
      click_on "That was it"

      assert_css "h2", text: "That was it"
    end
    first, second = Models::FaultResult.exclude(cause: nil).order(:id).select_map(:cause)

    refute_equal first, second
    assert_equal [[[first], second]], Models::FaultSearch.where(job_id: job.id).select_map(%i[mended cause])
  end

  # Readings move what it can be: here the flow is low and the suction is not, so something is in the way.
  def test_a_reading_that_changes_the_order
    job = take_in("Drum 30", "weak everywhere")
    click_on "weak everywhere"
    before = first(".fault-rungs th").text
    { "suction, inlet closed" => "perhaps", "flow" => "18 L/s" }.each do |kind, shown|
      select kind, from: "What"
      fill_in "The gauge shows", with: shown
      click_on "Write it down"
    end

    assert_text(%r{a number, with a unit|18 L/s})
    select "suction, inlet closed", from: "What"
    fill_in "The gauge shows", with: "230 mbar"
    click_on "Write it down"

    assert_text "when all is in order"
    assert_text "Read next: flow at"
    assert_empty axe
    assert_equal [18.0, 23.0], Models::SuctionReading.where(job_id: job.id).order(:id).select_map(:value).map(&:to_f)
      .map { |value| value.round(3) }
    refute_equal before, first(".fault-rungs th").text
  end

  # What is asked for is read, at a machine whose bag chamber lets hardly anything through, until it is named.
  def test_readings_until_it_is_named
    job = take_in("Drum 30", "weak everywhere")
    machine = Core::Suction::Expected.of(job.sheet)
    broken = machine.with_stage("drum", k: 8 * machine.resistance)
    click_on "weak everywhere"
    asked = [[machine.stages.first.key, :sealed], [machine.stages.first.key, :flow]]
    8.times do
      point, kind, off = asked.shift || located(job).next_reading.to_a.first(3)
      value = Core::Suction::Reading.expected(broken, point, kind, exhaust_off: off)
      Services::TakeReading.call(job.number, point: point, kind: kind.to_s, text: value.round(2).to_s, by: owner,
        at: Time.now, exhaust_off: off || false)
      break if asked.empty? && located(job).named
    end
    visit "/jobs/#{job.number}/fault"

    assert_text "By the readings, too much resistance at"
    assert_css "svg.suction-profile title", text: "Marked", visible: :all
    assert_empty axe
  end

  # A gauge streams, the page shows it, and once it rests one key takes it, at the point that was asked for.
  def test_a_gauge_in_hand
    job = take_in("Drum 30", "weak everywhere")
    fields = { name: "Long arm", pattern: "{value} {unit}", unit: nil, error_percent: 1.0 }
    gauge, token = Services::KeepGauge.add(fields, by: owner, at: Time.now)
    click_on "weak everywhere"

    assert_css "#gauge", text: "Silent."
    stream(token, "-24.8 kPa") do
      assert_css "#gauge .gauge-value", text: "24.8 kPa"
      assert_css "#gauge", text: "At rest."
      assert_empty axe
      press("g")

      assert_css "#readings li", text: "Suction, inlet closed at Floor tool, the whole machine: 24.8 kPa"
    end
    row = Models::SuctionReading.first(job_id: job.id)

    assert_equal [gauge.id, 1.0, "sealed"], row.values.values_at(:gauge_id, :error_percent, :kind)
    assert_equal "flow", find("#kind").value, "what tells most comes next"
    assert_equal job.id, gauge.stream.refresh.held_job_id
  end

  # What a reader hands on, three times a second, while the block runs.
  def stream(token, line)
    on = true
    reader = Thread.new do
      while on
        Services::HearGauge.call(token, "200 #{line}\n0 #{line}\n", at: Time.now)
        sleep 0.3
      end
    end
    yield
  ensure
    on = false
    reader&.join
  end

  def located(job)
    Services::LadderOfJob.new(Models::FaultSearch.under_way.first(job_id: job.id), job, {}).located
  end

  # A burnt smell ends it as it ends everything.
  def test_a_stop
    job = take_in("Loft K", "smells")
    click_on "smells"

    assert_css ".fault-next h2"
    Services::SearchFault.answer(job.number, "motor", "found", cause: "motor:burnt", by: owner, at: Time.now)
    visit "/jobs/#{job.number}/fault"

    assert_text(/Stop: .*burnt/i)
    assert_empty axe
  end

  # On a phone nothing runs over the edge.
  def test_on_a_phone
    resize(390, 844)
    take_in("Drum 30", "weak everywhere")
    click_on "weak everywhere"

    assert_css ".fault-next h2"
    assert_equal 0, evaluate_script("document.documentElement.scrollWidth - window.innerWidth")
  end
end
