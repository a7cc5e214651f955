# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# What the screens show and do, request by request.
class ScreensTest < DatabaseTest
  include AsStaff

  HTMX = { "HTTP_HX_REQUEST" => "true" }.freeze

  def setup
    sign_in
  end

  # ---- bench
  def test_the_bench_shows_every_open_job_with_its_next_action
    get "/"

    Models::Job.in_shop.select_map(:number).each { |number| assert_says(%r{href="/jobs/#{number}}) }
    ["Settle", "Look over", "See the stop", "Hand over", "Hand back"].each { |words| assert_says(/>#{words}</) }
  end

  def test_an_empty_bench_says_what_to_do
    Models::Job.in_shop.update(state: "handed_over")
    Models::RackStay.where(off_at: nil).update(off_at: NOW, off_by: owner.id, early_reason: "emptied")
    get "/"

    assert_says(/Nothing on the bench/)
    assert_says(/The rack is empty/)
  end

  def test_the_room_light_is_kept_by_person
    submit "/theme", { "theme" => "dim" }

    assert_equal "dim", owner.refresh.theme
    get "/"

    assert_says(/data-theme="dim"/)
    submit "/theme", { "theme" => "disco" }

    assert_equal "dim", owner.refresh.theme
  end

  # ---- finding and scanning
  def test_a_scan_opens_what_it_names
    job = take_in
    card = Models::Card.order(:id).last
    { "J#{job.number}" => "/jobs/#{job.number}", job.number.to_s => "/jobs/#{job.number}",
      "M#{job.machine_id}" => "/machines/#{job.machine_id}",
      "hd-2010" => "/shelf/#{part('HD-2010').id}", Outbox::Letters.link(card) => "/cards/#{card.id}",
      "somebody" => "/customers?q=somebody" }.each do |typed, path|
      get "/find", { "q" => typed }

      assert_equal path, last_response["location"].delete_prefix("http://example.org"), typed
    end
  end

  def test_taking_in_finds_by_a_scan_of_tag_and_label
    job = take_in
    ["J#{job.number}", "m#{job.machine_id}"].each do |scan|
      get "/take-in/find", { "q" => scan }, HTMX

      assert_says(/machine_id=#{job.machine_id}"/)
      assert_says(/on the bench, #{job.number}/)
    end
  end

  # ---- take in
  def test_a_new_customer_with_a_machine_nobody_knows_the_history_of
    submit "/take-in", { "new" => "1", "request_key" => SecureRandom.uuid, "complaint" => "no suction",
      "made_safe" => "1", "no_condition" => "1",
                         "hours_per_week" => "2,5".tr(",", "."),
                         "traits" => %w[pets smoker], "allergy" => "1",
                         "customer" => { "name" => "Perpetua Neu", "phone" => "555-0175", "post_agreed" => "1" },
                         "machine" => {
                           "sheet_id" => sheet("Brackwater Loft K").id.to_s, "serial_number" => "BK-1",
                           "second_hand" => "1", "bought_on" => "2024-02-29"
                         } }
    machine = Models::Job.order(:id).last.machine

    assert_equal 303, status
    assert_equal [true, 2.5, %w[pets smoker], true], [
      machine.second_hand, machine.hours_per_week.to_f, machine.traits.to_a, machine.allergy
    ]
    assert_equal [nil], machine.fittings_dataset.select_map(:fitted_on).uniq
    assert_equal [true, false], machine.customer.values.values_at(:post_agreed, :email_agreed)
  end

  def test_a_plate_that_is_on_file_is_named
    known = new_machine
    submit "/take-in", { "customer_id" => known.customer_id.to_s, "request_key" => SecureRandom.uuid,
      "complaint" => "weak", "made_safe" => "1", "no_condition" => "1",
                         "machine" => {
                           "sheet_id" => known.sheet_id.to_s, "serial_number" => known.serial_number.downcase
                         } }

    assert_equal 422, status
    assert_says(/with this serial number is on file already/)
  end

  def test_a_machine_bought_tomorrow
    submit "/take-in", { "customer_id" => new_machine.customer_id.to_s, "request_key" => SecureRandom.uuid,
      "complaint" => "weak", "made_safe" => "1", "no_condition" => "1",
                         "machine" => {
                           "sheet_id" => sheet("Hallmoor Dart M").id.to_s, "bought_on" => (today + 9).iso8601
                         } }

    assert_says(/lies in the future/)
  end

  # ---- look over
  def test_a_saved_finding_answers_with_its_row_and_brings_the_rest_up_to_date
    job = take_in
    get "/jobs/#{job.number}/look-over"
    post "/jobs/#{job.number}/findings/pre-filter", { "grey" => "5", "version" => "0", "_csrf" => token }, HTMX

    assert_equal 200, status
    assert_says(/\A\s*<form id="row-pre-filter"/)
    assert_says(/id="walk-ribbon"[^>]*data-stamp="\d+"/)
    assert_says(/id="outcome"/)
    assert_says(/name="version" value="1"/)
    refute_includes page, "<html"
  end

  def test_without_scripts_a_finding_goes_back_to_its_place
    job = take_in
    submit "/jobs/#{job.number}/findings/roll", { "turns" => "stuck", "version" => "0" }

    assert_equal [303, "/jobs/#{job.number}/look-over?at=roll"],
      [status, last_response["location"].delete_prefix("http://example.org")]
  end

  def test_what_was_due_before_the_visit_stands_at_its_place
    machine = new_machine
    Services::SetClocks.call(machine, on: today)
    job = take_in(machine)
    get "/jobs/#{job.number}/look-over?at=roll"

    assert_says(/Replace was due/)
  end

  def test_ending_a_look_over_that_saw_nothing
    job = take_in
    submit "/jobs/#{job.number}/look-over"

    assert_equal 409, status
    assert_says(/Nothing has been looked at yet/)
  end

  # ---- the job
  def test_a_job_declined_is_handed_back
    job = take_in
    record(job, "roll", { turns: "stuck" })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    submit "/jobs/#{job.number}/end", { "how" => "declined" }

    assert_equal "declined", job.refresh.state
    submit "/jobs/#{job.number}/hand-over"

    assert_equal "handed_over", job.refresh.state
    submit "/jobs/#{job.number}/end", { "how" => "referred" }

    assert_equal 409, status
  end

  def test_settling_needs_a_name
    job = take_in
    record(job, "roll", { turns: "stuck" })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    submit "/jobs/#{job.number}/settle", { "agreed_name" => "", "agreed_how" => "phone" }

    assert_equal 422, status
    assert_says(/Agreed by is needed/)
    assert_says(/value="phone" checked/)
  end

  def test_nothing_on_the_shelf_must_be_chosen_or_left
    Services::CountStock.call(part("HD-2041"), pieces: 0, reason: "lost", by: owner, at: NOW)
    job = take_in
    record(job, "cyclone-gasket", { state: "torn" })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    get "/jobs/#{job.number}"

    assert_says(/Not in this price:.* cyclone gasket, not chosen yet/)
    submit "/jobs/#{job.number}/settle", { "agreed_name" => "W", "agreed_how" => "phone" }

    assert_says(/Choose a part for cyclone gasket, or leave it as it is/)
    submit "/jobs/#{job.number}/items/#{item(job, 'cyclone-gasket').id}/part", { "choice" => "leave" }
    get "/jobs/#{job.number}"

    refute_match(/Not in this price/, page)
    submit "/jobs/#{job.number}/settle", { "agreed_name" => "W", "agreed_how" => "phone" }

    assert_equal "settled", job.refresh.state
  end

  # What was found says how it is done already; what is tapped out is not told to be rinsed.
  def test_how_it_is_done_is_said_once
    job = settled({ "contacts" => { state: "dirty" }, "post-filter" => { grey: 2 } })
    get "/jobs/#{job.number}"

    assert_says(/dry cloth only/)
    refute_match(/dry cloth only\.\s+dry cloth only/i, page)
    assert_says(/tap it out, no water needed/)
    refute_match(/under cold running water/, page)
  end

  def test_papers_come_as_pdf_and_labels_only_where_something_is_new
    job = settled({ "post-filter" => { torn: true } })
    %w[labels slip].each do |name|
      get "/jobs/#{job.number}/#{name}.pdf"

      assert_equal 409, status
    end
    do_all(job)
    close_job(job)
    %w[labels tag slip].each do |name|
      get "/jobs/#{job.number}/#{name}.pdf"

      assert_equal [200, "application/pdf", "%PDF"], [status, last_response["content-type"], page[0, 4]]
    end
  end

  def test_a_handed_over_job_shows_its_clocks_and_takes_no_more
    job = settled({ "post-filter" => { torn: true } })
    do_all(job)
    close_job(job)
    Services::HandOver.call(job.number, by: technician, at: NOW)
    get "/jobs/#{job.number}"

    assert_says(/Next due/)
    assert_says(/h a week, likely/)
    submit "/jobs/#{job.number}/items/#{item(job, 'post-filter').id}/undo"

    assert_equal 409, status
  end

  def test_the_history_of_a_job_names_who_did_what
    job = settled({ "pre-filter" => { grey: 5 } })
    get "/jobs/#{job.number}/history", {}, HTMX

    ["took in", "found, pre-motor filter\\s+\\(wash\\)", "looked over", "settled"]
      .each { |words| assert_says(%r{<b>#{technician.name}</b>: #{words}}) }
    refute_includes page, "<html"
  end

  # ---- the rack
  def test_taking_off_wet_asks_for_a_reason_and_keeps_it
    job = settled({ "pre-filter" => { grey: 5 } })
    do_all(job)
    stay = item(job, "pre-filter").on_rack
    submit "/rack/#{stay.id}/off"

    assert_equal 409, status
    assert_says(/To take it off now, write the reason/)
    submit "/rack/#{stay.id}/off", { "early_reason" => "customer insists" }

    assert_equal ["customer insists", "in_work"], [stay.refresh.early_reason, job.refresh.state]
    submit "/rack/#{stay.id}/off"

    assert_equal 303, status
  end

  def test_what_dries_beyond_its_promise_is_told_though_all_is_done
    job = settled({ "pre-filter" => { grey: 5 } })
    do_all(job)
    job.refresh.update(promise_at: NOW + 3600)
    Services::MakePlan.call(at: NOW)
    get "/jobs/#{job.number}"

    assert_says(/as it stands, promised/)
    assert_says(/Tell them, and promise that/)
    submit "/jobs/#{job.number}/tell-late", { "till" => (NOW + 60).to_i }

    assert_says(/The plan has changed: it can be promised for/)
    submit "/jobs/#{job.number}/tell-late", { "till" => Models::BenchPlan.the.later_by(job.number).to_i }

    assert_operator job.refresh.promise_at, :>=, item(job, "pre-filter").on_rack.ready_at
    assert_match(/\A[\d.]+ h until all is dry, 15 min to refit/, job.promise_reason)
    # Though the plan that stands was made before.
    get "/jobs/#{job.number}"

    refute_match(/as it stands, promised/, page)
  end

  def test_a_stop_is_counted_as_it_stands
    job = take_in
    record(job, "motor", { state: "burnt smell" })
    get "/jobs/#{job.number}"

    assert_says(/1 of \d+ places looked at, 1 stop\b(?! cleared)/)
    record(job, "motor", { state: "even" }, version: 1)
    get "/jobs/#{job.number}"

    assert_says(/1 of \d+ places looked at, 1 stop cleared/)
  end

  def test_care_of_what_is_replaced_is_that_of_the_new_one
    job = settled({ "pre-filter" => { grey: 5 } })
    care = job.sheet.position("pre-filter").care
    get "/jobs/#{job.number}"

    refute_match(/Care of the new one|goes in instead/, page)
    assert_says(/#{care}/)
    part = Models::Part.first(number: "HD-2010")
    Services::ChoosePart.call(job.number, item(job, "pre-filter").id, choice: part.id.to_s, by: technician, at: NOW)
    get "/jobs/#{job.number}"

    assert_says(/may be washed. A new one goes in instead. Care of the new one: #{care}/)
  end

  def test_a_full_rack_refuses_another_wash
    other = settled({ "post-filter" => { grey: 5 } })
    do_all(settled({ "pre-filter" => { grey: 5 } })) until Models::RackSlot.free.empty?
    submit "/jobs/#{other.number}/items/#{item(other, 'post-filter').id}/done"

    assert_says(/Every slot on the rack is taken/)
  end

  # The last slot, which the plan keeps for a wash that is promised for the same day.
  def test_a_slot_that_another_job_needs_is_taken_only_by_who_says_so
    Models::Job.in_shop.update(state: "declined")
    first, second = Array.new(2) { settled({ "pre-filter" => { grey: 5 } }) }
    Models::RackSlot.exclude(id: Models::RackSlot.free.first.id).update(closed: true)
    first.update(promise_at: second.promise_at + (30 * 86_400))
    Services::MakePlan.call(at: NOW)
    washed = "/jobs/#{first.number}/items/#{item(first, 'pre-filter').id}/done"
    submit washed, { "not_shaken" => "1", "dry_grams" => "62.5" }

    assert_equal 409, status
    assert_says(/keeps this slot .* Job #{second.number}, promised for .*, would then be ready by/)
    assert_says(/name="not_shaken" value="1" checked/)
    assert_says(/value="62.5"/)
    assert_says(/Take the slot all the same/)
    assert_nil item(first, "pre-filter").on_rack
    submit washed, { "not_shaken" => "1", "dry_grams" => "62.5", "sure" => "1" }

    assert_equal 303, status
    assert_in_delta 62.5, item(first, "pre-filter").on_rack.dry_grams
  end

  # ---- shelf, customers, sheets, settings, cards
  def test_receiving_twice_with_one_key_is_once_and_a_count_leaves_its_reason
    roll = part("HD-2030")
    before = roll.stock
    key = SecureRandom.uuid
    2.times { submit "/shelf/#{roll.id}/receive", { "pieces" => "5", "request_key" => key } }

    assert_equal before + 5, Models::StockLevel[roll.id].pieces
    submit "/shelf/#{roll.id}/count", { "counted" => "2", "reason" => "found behind the shelf" }

    assert_equal [2, "found behind the shelf"], [
      Models::StockLevel[roll.id].pieces, Models::StockMove.where(part_id: roll.id).order(:id).last.reason
    ]
    get "/shelf/#{roll.id}"

    assert_says(/found behind the shelf/)
  end

  def test_the_shelf_finds_and_says_when_it_does_not
    get "/shelf", { "q" => "twist lock" }

    assert_says(/HD-2020/)
    refute_includes page, "OS-3601"
    get "/shelf", { "q" => "spoon" }

    assert_says(/No part called “spoon”/)
  end

  def test_customers_are_paged_by_key_without_gap_or_repeat
    (Queries::CustomerList::PAGE + 3).times do |n|
      Models::Customer.create(name: format("Page %03d", n / 30), created_by: owner.id)
    end
    Models::Customer.create(name: "forgotten", forgotten_on: today, created_by: owner.id)
    names = []
    path = "/customers"
    while path
      get path
      names += page.scan(%r{<th scope="row"><a href="/customers/\d+">([^<]+)</a>}).flatten
      path = page[%r{href="(/customers\?[^"]*after=[^"]+)"}, 1]&.gsub("&amp;", "&")
    end

    assert_equal Models::Customer.where(forgotten_on: nil).select_order_map(:name),
      names.map { |name| CGI.unescapeHTML(name) }
  end

  def test_agreeing_again_ends_stop_writing
    customer = new_machine.customer
    customer.update(stopped_on: today)
    submit "/customers/#{customer.id}", { "name" => customer.name, "email" => customer.email, "email_agreed" => "1",
      "lock_version" => customer.lock_version.to_s }

    assert_equal [nil, true], customer.refresh.values.values_at(:stopped_on, :email_agreed)
  end

  def test_a_sheet_goes_out_as_it_came_in
    dart = sheet("Hallmoor Dart M")
    get "/sheets/#{dart.id}/sheet.json"

    assert_equal JSON.parse(File.read(File.join(TestDatabase::ROOT, "demo/sheets/hallmoor-dart-m.json"))),
      JSON.parse(page)
    assert_equal dart.to_core, Core::Sheets::Parse.new(JSON.parse(page)).call
  end

  def test_the_owner_changes_open_hours_and_closed_days
    form = Screens::Settings::SettingsForm.typed_from(Services::Policies.now).merge("bag_limit_percent" => "60")
    form["hours"]["sun"]["0"] = { "from" => "10:00", "to" => "12:00" }
    form["closed"] = { "0" => { "on" => "2026-12-31", "name" => "" },
      "1" => { "on" => "2026-12-24", "name" => "Lantern Eve", "yearly" => "1" } }
    submit "/settings", form

    assert_equal 303, status
    policies = Services::Policies.now

    assert_equal [{ "10:00" => "12:00" }, [[24, "Lantern Eve", true], [31, nil, false]], 60],
      [policies.open_hours["sun"].to_h, policies.closed_days.map do |day|
        [day.on.day, day.name, day.yearly]
      end, policies.findings.bag_limit_percent]
    submit "/settings", form.merge("hours" => {})

    assert_equal 422, status
    assert_says(/open hours do not work/)
  end

  def test_a_card_is_seen_as_it_leaves_and_as_it_left
    machine = new_machine("Brackwater Loft K")
    Services::SetClocks.call(machine, on: today)
    get "/cards/of/#{machine.customer_id}", {}, HTMX

    assert_says(/Dear Wendel Testrup/)
    get "/cards/of/#{machine.customer_id}?pdf=1"

    assert_equal "%PDF", page[0, 4]
    always_open
    get "/cards/leaving"

    assert_says(%r{<b>Wendel Testrup</b>})
    submit "/cards/send", { "customer_ids" => [machine.customer_id.to_s], "shown" => [machine.customer_id.to_s] }
    batch = Models::Batch.order(:id).last
    follow_redirect!

    assert_says(/Writing the cards/)
    Services::WriteBatch.call(batch, at: NOW)
    get "/cards/batches/#{batch.id}"

    assert_says(%r{Wendel Testrup</a>, e-mail: waiting to leave})
    get "/cards/#{Models::Card.first(customer_id: machine.customer_id).id}"

    assert_says(/waiting to leave/)
  end

  def test_a_message_in_doubt_is_decided_by_a_person
    card = Models::Card.order(:id).last
    card.message.update(state: "unsure", handed_over_at: nil)
    get "/cards/#{card.id}"

    assert_says(/nobody knows whether it arrived/)
    submit "/cards/#{card.id}/unsure", { "arrived" => "no" }

    assert_equal "queued", card.message.refresh.state
    submit "/cards/#{card.id}/unsure", { "arrived" => "yes" }

    assert_equal 409, status
  end

  def test_what_if_without_a_script_is_a_page_of_its_own
    machine = new_machine("Brackwater Loft K")
    Services::SetClocks.call(machine, done: { "exhaust-filter" => %i[replace] }, on: today)
    get "/machines/#{machine.id}/what-if", { "hours_per_week" => "20", "traits" => ["pets"] }

    assert_says(/dates move\. Nothing is saved/)
    get "/machines/#{machine.id}/what-if", { "hours_per_week" => "900", "traits" => ["ghosts"] }

    assert_equal 422, status
  end

  def test_mail_that_nobody_understood_is_not_forgotten
    folder = Outbox::Returns.new.unclear
    folder.mkpath
    folder.join("away.eml").write("Back on Monday")
    get "/cards"

    assert_says(/1 returned mail could not be matched to a card/)
  ensure
    folder.rmtree
  end

  def test_the_cards_page_says_what_came_of_them
    get "/cards/came"

    assert_says(/Jobs that cards brought/)
    get "/cards/came/shares"

    assert_says(/By channel and attempt/)
    assert_match(/between \d+ and \d+ in a hundred/, page)
  end

  def test_a_country_is_one_of_those_there_are
    customer = Models::Customer.first
    typed = { "name" => customer.name, "lock_version" => customer.lock_version.to_s }
    submit "/customers/#{customer.id}", { **typed, "country" => "XX" }

    assert_says(/Country is not on the list/)
    submit "/customers/#{customer.id}", { **typed, "country" => "NO", "postcode" => "1234" }

    assert_equal %w[NO 1234], customer.refresh.values.values_at(:country, :postcode)
  end

  # Tried before they are saved: with the prices of now, and the hours as they are.
  def test_words_are_tried_with_price_and_hours
    Models::Due.where(id: Models::CardLine.select(:due_id)).update(action: "replace", deciding: "months")
    submit "/cards/words", { "language" => "en", "look" => "1", "email_body" => "{tasks} {price} Open {hours} {link}" }

    assert_says(/costs \$\d+\.\d\d, tax included/)
    assert_says(/Open Monday to/)
    assert_empty Models::Wording.where(language: "en").all
  end

  def test_a_year_of_service_days_as_page_paper_and_calendar
    fleet = Models::Customer.first(fleet: true)
    get "/customers/#{fleet.id}/plan"

    assert_says(%r{days?</b>, [\d.]+ hours at the bench})
    get "/customers/#{fleet.id}/plan.pdf"

    assert_equal "%PDF", page[0, 4]
    get "/customers/#{fleet.id}/plan.ics"
    events = Icalendar::Calendar.parse(page).first.events

    assert_equal Services::PlanYear.call(fleet, today: today).days.sum { |visit| visit.rows.size }, events.size
    assert_equal events.size, events.map { |event| event.uid.to_s }.uniq.size
  end

  def test_only_the_owner_forgets_and_only_when_sure
    customer = Models::Customer.create(name: "Perpetua Vanish", created_by: owner.id)
    submit "/customers/#{customer.id}/forget"

    assert_nil customer.refresh.forgotten_on
    submit "/customers/#{customer.id}/forget", { "sure" => "1" }

    assert_equal ["forgotten #{customer.id}", today], customer.refresh.values.values_at(:name, :forgotten_on)
    clear_cookies
    sign_in Demo::Load.mail("Sunniva Pike")
    submit "/customers/#{Models::Customer.first(fleet: true).id}/forget", { "sure" => "1" }

    assert_equal 403, status
  end

  def test_how_far_dates_that_are_computed_again_are
    Services::SavePolicies.call({ "pets_percent" => 60 }, by: owner, at: NOW)
    get "/settings"

    assert_says(/Updating dates \(how much a household shortens was changed\): waiting to start/)
    Models::Recompute.dataset.update(machines: 10, done: 4)
    get "/settings/recomputes"

    assert_says(/4 of 10 machines/)
    Models::Recompute.dataset.update(finished_at: NOW, done: 10)
    get "/settings/recomputes"

    refute_match(/computed again/, page)
  end

  def test_a_mail_program_stops_the_cards_with_one_click
    card = Models::Card.exclude(channel: "phone").order(:id).last
    clear_cookies
    path = "#{URI(Outbox::Letters.link(card)).path}/stop"
    get path

    assert_nil card.customer.refresh.stopped_on
    2.times { post path, { "List-Unsubscribe" => "One-Click" } }

    assert_equal [200, today], [status, card.customer.refresh.stopped_on]
    assert_equal ["one_click"], card.customer.consents_dataset.where(agreed: false).select_map(:how).uniq
    post "/c/#{'0' * 26}/stop", { "List-Unsubscribe" => "One-Click" }

    assert_equal 404, status
  end
end
