# frozen_string_literal: true

# Group: slow (every main page at four widths, several times over)

require_relative "../browser_helper"

# Every main page: clean for axe, wide enough for nothing to scroll sideways, quiet, served from its own host alone.
class PagesTest < BrowserTest
  def pages
    open = Models::Job.in_shop.order(:id).all.to_h { |job| [job.state, "/jobs/#{job.number}"] }
    stopped = Models::Job.with_pk!(Models::Stop.standing.get(:job_id))
    machine = Models::Due.running.order(:due_on).first.machine
    ["/", "/take-in", "/take-in?q=er", "/take-in?new=1", "/take-in?machine_id=#{machine.id}", *open.values,
     "/jobs/#{stopped.number}",
     "#{open.fetch('taken_in')}/look-over", *at_the_end,
     "/rack", "/shelf", "/shelf/#{part('HD-2010').id}", "/shelf/fit",
     "/shelf/fit?q=332+x+10", *shelf,
     "/shelf/fit?sheet=#{machine.sheet_id}&at=#{machine.to_core.walk.last.key}", "/cards",
     "/cards/leaving?until=#{today + 30}", "/cards/#{Models::Card.order(:id).last.id}",
     "/cards/batches/#{Models::Batch.max(:id)}", "/cards/answers", "/cards/calls", "/cards/came", "/cards/came/shares",
     "/cards/words", "/cards/words?language=de",
     "/customers", "/customers/long-away", "/customers/#{machine.customer_id}",
     "/customers/#{Models::Customer.first(fleet: true).id}/plan",
     "/machines/#{machine.id}", "/machines/#{machine.id}/what-if?hours_per_week=20",
     "/sheets", "/sheets/#{machine.sheet_id}", "/sheets/new",
     *drafts, "/take-in/many?customer_id=#{machine.customer_id}",
     "/take-in/taken?customer_id=#{stopped.customer_id}&from=#{stopped.number}&to=#{stopped.number}",
     *counter(machine), "/customer-lists", customer_list, "/archives",
     "/plan", "/plan/wall", plan_step, "/plan/ask?machine_id=#{machine.id}&brought=now", "/people/#{owner.id}/bench",
     "/settings", "/settings/shop", "/people", "/people/roles", "/audit?group=signing_in", "/take-over", "/me",
     "/otp-setup", "/legend", "/logout", "/nothing", "#{open.fetch('settled')}/history"]
  end

  # With what a move would do.
  def plan_step
    step = Queries::PlannedJobs.steps.max_by(&:from)
    "/plan/#{step.job}/#{step.key}?person_id=#{step.person}"
  end

  # Money, parcels, what waits, and another part for something to do.
  def counter(machine)
    to_do = Models::WorkItem.where(state: "to_do", action: "replace").order(:id).first
    part = part("HD-2010").id
    ["/bills", "/bills/#{Models::Bill.min(:number)}", "/bills/sale", "/registrations",
     "/bills/sale?machine_id=#{machine.id}&lines[#{part}]=2", "/parcels", "/to-collect", "/machines/new",
     "/jobs/#{to_do.job.number}/items/#{to_do.id}/other?q=filter",
     "/jobs/#{to_do.job.number}/items/#{to_do.id}/instead"]
  end

  # A machine that is open with a screw missing, and one to be tried.
  def at_the_end
    opened = settled({ "cyclone-gasket" => { state: "dirty" } })
    %w[clip-ring housing].each { |step| Services::OpenStep.call(opened.number, step, by: owner, at: Time.now) }
    Services::CloseStep.call(opened.number, "housing", counts: { "fastener-0" => 6 }, by: owner, at: Time.now)
    tried = settled({ "roll" => { turns: "drags" } })
    do_all(tried)
    Services::AnswerTrial.call(tried.number, "whistle", "fail", note: "whistles at the bin", by: owner, at: Time.now)
    packed = settled({ "cones" => { state: "packed" } })
    ["/jobs/#{opened.number}/strip", "/jobs/#{tried.number}", "/jobs/#{packed.number}/strip"]
  end

  def shelf
    pages = %w[short orders suppliers count list new].push("#{part('HD-2010').id}/change",
      "orders/#{Models::SupplierOrder.max(:number)}")
    pages.map { |page| "/shelf/#{page}" }
  end

  # Of the model itself, and of one place.
  def drafts
    path = "/drafts/#{Services::BeginDraft.of(sheet('Hallmoor Dart M'), by: owner, at: NOW).id}"
    [path, "#{path}?at=pre-filter", "#{path}?at=step.housing"]
  end

  # A file of customers, with its columns guessed.
  def customer_list
    text = "Name,Phone,Make,Model,Last service\nJo Kell,902 425 0142,Ostrel,Stride 36,2026-05-14\n"
    import = Services::KeepCustomerList.call(StringIO.new(text), by: owner, at: NOW)
    Services::PartCustomerList.call(import)
    "/customer-lists/#{import.id}"
  end

  def job_path
    URI(Outbox::JobLink.of(Models::Question.first.job)).path
  end

  def register_path
    URI(Outbox::RegistrationLink.of(Models::Registration.first || Services::GiveCode.call(by: owner, at: NOW))).path
  end

  def card_path
    URI(Outbox::Letters.link(Models::Card.order(:id).last)).path
  end

  def test_axe_finds_nothing_and_nothing_scrolls_sideways
    visit "/login"
    found = { "/login" => axe }
    sign_in
    [*pages, card_path, "#{card_path}/stop", job_path, register_path].each do |path|
      visit path
      found[path] = axe
      [320, 390, 1280, 1920].each do |width|
        resize(width, 800)
        wide = evaluate_script("document.documentElement.scrollWidth")

        assert_operator wide, :<=, width, "#{path} is #{wide} px wide at #{width}"
      end
      resize(1280, 800)
    end

    assert_empty(found.reject { |_, violations| violations.empty? })
  end

  def test_axe_finds_nothing_in_the_dim_room_either
    Models::Person.dataset.update(theme: "dim")
    sign_in
    found = ["/", "/take-in?new=1", pages.grep(/look-over/).first, "/cards", "/rack", *pages.grep(%r{/jobs/\d+\z})]
      .to_h do |path|
      visit path
      [path, axe]
    end

    assert_empty(found.reject { |_, violations| violations.empty? })
  end

  # Everything that answers a click can be reached with Tab, shows where the focus is, and is tall enough for a finger.
  def test_everything_is_within_reach_of_the_keyboard_and_of_a_finger
    sign_in
    pages.each do |path|
      visit path
      unreachable = evaluate_script(<<~JS)
        [...document.querySelectorAll("main a[href], main button, main input:not([type=hidden]), main select, main textarea, main summary")]
          .filter((one) => one.getClientRects().length && !one.disabled && one.tabIndex < 0).map((one) => one.outerHTML.slice(0, 90))
      JS
      low = evaluate_script(<<~JS)
        [...document.querySelectorAll("main .btn, main .verdict-button, main .form-control, main .step-choice, main .part, main .hit")]
          .filter((one) => one.getClientRects().length && one.getBoundingClientRect().height < 44).map((one) => one.outerHTML.slice(0, 90))
      JS

      assert_empty unreachable, path
      assert_empty low, path
    end
  end

  # What a control looks like, itself and where its ring may be drawn: on its label, or inside a drawing.
  LOOK = <<~JS
    const look = (control) => [control, control.closest("label"), control.parentElement, ...control.querySelectorAll(".ring, .due-area")]
      .filter(Boolean).map((part) => getComputedStyle(part))
      .map((style) => [style.outlineStyle, style.outlineWidth, style.outlineColor, style.boxShadow, style.borderColor, style.stroke, style.strokeWidth,
        style.fill, style.left].join("|")).join("; ");
  JS
  CONTROLS = "a[href], button, input:not([type=hidden]), select, textarea, summary"

  # What is focused by a script is shown as with the keyboard once a key has moved the focus.
  def show_focus
    wait_for("a focus that shows") do
      press :Tab
      evaluate_script("document.activeElement.matches(':focus-visible')")
    end
  end

  # One of each kind of control on a page: focused as with the keyboard, it must look otherwise than before.
  def test_the_focus_is_seen_on_every_kind_of_control
    sign_in
    unseen = [*pages, card_path, job_path, register_path].to_h do |path|
      visit path
      show_focus
      [path, evaluate_script(<<~JS)]
        (() => {
          #{LOOK}
          const kinds = new Map();
          for (const control of document.querySelectorAll("#{CONTROLS}")) {
            if (control.disabled || !control.checkVisibility()) continue;
            const kind = `${control.tagName} ${control.type || ""} ${control.getAttribute("class") || ""}`;
            if (!kinds.has(kind)) kinds.set(kind, control);
          }
          document.activeElement.blur();
          return [...kinds].filter(([, control]) => {
            const before = look(control);
            control.focus({ preventScroll: true });
            const seen = look(control) !== before;
            control.blur();
            return !seen;
          }).map(([kind]) => kind);
        })()
      JS
    end

    assert_empty(unseen.reject { |_, kinds| kinds.empty? })
  end

  def test_keys_from_anywhere
    sign_in
    visit "/"
    { "t" => "/take-in", "r" => "/rack", "s" => "/shelf", "c" => "/cards", "u" => "/customers", "h" => "/sheets",
      "b" => "/" }.each do |key, path|
      find("#main").trigger("focus")
      execute_script("document.activeElement.blur()")
      press key

      assert_current_path path
    end
    press "?"

    assert_css "dialog[open]", text: "Keys"
    press :Escape
    press "/"
    wait_for("the search") { focused == "find" }
    number = Models::Job.in_shop.get(:number)
    press "J#{number}", :Enter

    assert_current_path "/jobs/#{number}"
  end

  def test_two_people_on_one_finding
    job = take_in
    sign_in
    visit "/jobs/#{job.number}/look-over?at=pre-filter"
    record(job, "pre-filter", { grey: 5 })
    find("#pre-filter-grey-1", visible: :all).trigger("click")

    assert_css "[role=alert]", text: "#{technician.name} recorded"
    assert_predicate find("#pre-filter-grey-1", visible: :all), :checked?
    assert_equal 5, Models::Finding.first(job_id: job.id).seen[:grey]
    find("#pre-filter-smell", visible: :all).trigger("click")
    wait_for("the second try") { Models::Finding.first(job_id: job.id).seen == { grey: 1, smell: true } }
  end

  def test_an_own_verdict_by_digit_and_back_to_the_rule
    job = take_in
    sign_in
    visit "/jobs/#{job.number}/look-over?at=pre-filter"
    wait_for("the place in hand") { focused == "row-pre-filter" }
    press :Enter
    press "1"
    wait_for("the rule's mark") { Models::Finding.first(job_id: job.id)&.verdict == "clean" }

    assert_css "#row-pre-filter .verdict", text: "clean"
    press :Up
    wait_for("the place before") { focused == "row-cyclone-gasket" }
    press :Down
    wait_for("the place in hand") { focused == "row-pre-filter" }
    press "4"

    assert_css "#row-pre-filter .verdict", text: "Marked by Ines Varga"
    find(:css, "#verdict-pre-filter-replace").click

    assert_no_css "#row-pre-filter .verdict", text: "Marked by"
    assert_equal ["clean", false], Models::Finding.first(job_id: job.id).values.values_at(:verdict, :own_verdict)
  end

  # The ear that every browser test leans on: it hears a refused style, a thrown error, and a written one.
  def test_complaints_of_the_browser_are_heard
    sign_in
    visit "/"
    execute_script("document.body.insertAdjacentHTML('beforeend', '<p style=\"color: red\">x</p>')")
    wait_for("the refused style") { COMPLAINTS.all.any?(/style/) }
    execute_script("console.error('written')")
    wait_for("the written error") { COMPLAINTS.all.any?(/written/) }

    assert_predicate self, :thrown_error_heard?
    COMPLAINTS.clear
  end

  def test_the_walk_by_arrows_goes_through_every_place_and_back
    job = take_in
    sign_in
    visit "/jobs/#{job.number}/look-over?at=roll"
    order = job.sheet.walk.map(&:key)
    order.each_with_index do |key, index|
      wait_for(key) { focused == "row-#{key}" }
      press :Down unless index == order.size - 1
    end
    press :Left
    wait_for("the station before") { focused == "row-battery" }
    press :Right
    wait_for("the last station") { focused == "row-post-filter" }
  end

  def test_a_measure_out_of_range_is_named_beside_its_field_and_can_be_mended
    job = take_in(new_machine("Ostrel Stride 36"))
    sign_in
    visit "/jobs/#{job.number}/look-over?at=brush-front"
    fill_in "brush-front-standout_mm", with: "400"
    press :Enter

    assert_css "#brush-front-standout_mm-error", text: "400 mm is not likely here"
    assert_field "brush-front-standout_mm", with: "400"
    click_button "Did you mean 4 mm?"

    assert_css "#row-brush-front .verdict", text: "set the height dial to 2"
  end

  def test_complaints_are_picked_and_unpicked
    sign_in
    visit "/take-in?machine_id=#{new_machine.id}"
    click_button "pulses"
    click_button "smells"

    assert_field "Complaint", with: "pulses, smells"
    assert_css "button[aria-pressed=true]", text: "smells"
    click_button "pulses"

    assert_field "Complaint", with: "smells"
  end

  private

  # The driver raises a thrown error by itself, at this call or at one of the next.
  def thrown_error_heard?
    execute_script("setTimeout(() => { throw new Error('thrown') })")
    20.times { evaluate_script("1") && sleep(0.05) }
    COMPLAINTS.all.any?(/thrown/)
  rescue Ferrum::JavaScriptError => e
    e.message.include?("thrown")
  end
end
