# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# The rack and its room on screen, what is asked on the phone, and what it would take to be sooner.
class RoomScreenTest < DatabaseTest
  include AsStaff

  def setup
    super
    sign_in
  end

  def washed(**wash)
    job = settled({ "pre-filter" => { grey: 5 } })
    washing = item(job, "pre-filter")
    Services::ChoosePart.call(job.number, washing.id, choice: "wash", by: technician, at: NOW)
    Services::DoWorkItem.call(job.number, washing.id, by: technician, at: NOW, wash: wash)
    Models::RackStay.first(work_item_id: washing.id, off_at: nil)
  end

  def test_what_lies_elsewhere_and_what_it_weighs
    stay = washed(elsewhere: "window sill", dry_grams: 62.5)
    get "/rack"

    assert_includes page, "window sill"
    assert_includes page, "Dry it weighed 62.5 g."
    submit "/rack/#{stay.id}/weigh", { "grams" => "80,5" }, from: "/rack"
    get "/rack"

    assert_includes page, "18 g of water in it"
    submit "/rack/#{stay.id}/weigh", { "grams" => "heavy" }, from: "/rack"

    assert_equal 422, last_response.status
    assert_includes page, "Write what it weighs"
    submit "/rack/#{stay.id}/weigh", { "grams" => "5" }, from: "/rack"

    assert_includes page, "Is it this part?"
  end

  def test_slots_by_size
    slot = Models::RackSlot.in_use.order(:id).first
    submit "/rack/sizes", { "size" => { slot.id.to_s => "1", "x" => "2", "999999" => "9" } }, from: "/rack"

    assert_equal 1, slot.refresh.size
    submit "/rack/sizes", { "size" => "small" }, from: "/rack"

    assert_equal 303, last_response.status
  end

  def test_the_scale_answers_with_a_field
    get "/scale?name=dry_grams&id=dry-grams-7"

    assert_includes page, 'name="dry_grams"'
    assert_includes page, "has not come to rest"
    get "/scale?name=password&id=%22%3E"

    assert_includes page, 'id="grams"'
    refute_includes page, "password"
  end

  def test_the_air_is_drawn_and_said
    get "/rack"

    assert_includes page, 'class="room-history"'
    assert_match(/Drying room at .* °C and .* %/, page)
  end

  def test_devices_by_kind
    submit "/gauges", { "kind" => "room", "name" => "Attic", "pattern" => "{value} {unit}", "error_percent" => "2" },
      from: "/gauges"

    assert_equal 422, last_response.status
    assert_includes page, "{temperature} and {humidity} once each"
    submit "/gauges", { "kind" => "room", "name" => "Attic", "pattern" => "{temperature};{humidity}", "unit" => "F",
                        "error_percent" => "2" }, from: "/gauges"

    assert_includes page, "Thermometer of the drying room"
    assert_predicate Models::Gauge.first(name: "Attic"), :room?
    submit "/gauges", { "kind" => "kettle", "name" => "Kettle", "pattern" => "{value} g", "error_percent" => "2" },
      from: "/gauges"

    assert_equal 422, last_response.status
  end

  def test_asked_on_the_phone
    get "/plan/ask"

    refute_includes page, "Ready by"
    get "/plan/ask?brought=now&minutes=45&drying_hours=12"

    assert_match(/Ready by.*45 min of work.*12 h of drying/m, page)
    get "/plan/ask?brought=now&minutes=lots"

    assert_equal 422, last_response.status
    sheet = Models::Sheet.first(model_name: "Dart M")
    get "/plan/ask?brought=now&sheet_id=#{sheet.id}&work[]=pre-filter:wash&work[]=nothing:wash"

    assert_match(/Ready by.*h of drying/m, page)
    get "/plan/ask?brought=2040-01-01T09:00"

    assert_match(/more than 120 days/, page)
    get "/plan/ask?machine_id=999999999"

    assert_equal 404, last_response.status
  end

  # The page does not wait for the plan: it asks for the times of its choices when it is there.
  def test_when_it_would_be_ready_with_each_choice
    job = take_in
    record(job, "pre-filter", { grey: 5 })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    get "/jobs/#{job.number}"

    assert_includes page, %(hx-get="/jobs/#{job.number}/times")
    asked_for = page.scan(/id="(ready-[^"]+)"/).flatten
    get "/jobs/#{job.number}/times"

    assert_equal asked_for.sort, page.scan(/id="(ready-[^"]+)" hx-swap-oob="true"/).flatten.sort
    assert_operator asked_for.size, :>, 3
    assert_match(/Ready by .* if agreed now: .* h of drying, .*holds \d+ times in 100/, page)
    assert_equal asked_for.size - 1, page.scan(/>(?:to be ordered, )?ready by [A-Za-z0-9]/).size
  end

  def test_where_no_time_can_be_promised_the_page_says_why
    job = take_in
    record(job, "pre-filter", { grey: 5 })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    Services::AskPromise.stub(:new, ->(*, **) { raise Services::Refused, "No time can be promised: closed." }) do
      get "/jobs/#{job.number}/times"
    end

    assert_equal 200, status
    ["No time can be promised: closed.", ">no time can be promised<"].each { |words| assert_includes page, words }
  end

  # On open days: over a weekend what is washed dries as well.
  def test_what_it_would_take_to_be_sooner
    always_open
    job = take_in(at: NOW)
    record(job, "pre-filter", { grey: 5 }, at: NOW)
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    washing = item(job, "pre-filter")
    Services::ChoosePart.call(job.number, washing.id, choice: "wash", by: technician, at: NOW)
    get "/jobs/#{job.number}/sooner"

    assert_match(/Ready by .*fit new parts instead of washing/m, page)
    Services::Settle.call(job.number, agreed_name: "Una", agreed_how: "phone", by: technician, at: NOW)
    get "/jobs/#{job.number}/sooner"

    assert_includes page, "Nothing would make it sooner."
  end

  # On the phone, after it was agreed: now they want a new one instead of the wash, to have it today.
  def test_a_change_of_mind_while_it_is_worked_on
    job = settled({ "pre-filter" => { grey: 5 } })
    washing = item(job, "pre-filter")
    get "/jobs/#{job.number}"

    assert_says(/Something else instead/)
    get "/jobs/#{job.number}/items/#{washing.id}/instead"

    assert_match(/New one now: .*ready by (?!…)/m, page)
    submit "/jobs/#{job.number}/items/#{washing.id}/part", { "choice" => part("PT-2010").id.to_s }

    assert_equal ["replace", part("PT-2010").id], washing.refresh.values.values_at(:action, :part_id)
    get "/jobs/#{job.number}"

    assert_says(/Agreed again/)
  end

  def test_of_what_is_done_there_is_nothing_else_to_choose
    job = settled({ "pre-filter" => { grey: 5 } })
    do_all(job)
    get "/jobs/#{job.number}/items/#{item(job, 'pre-filter').id}/instead"

    assert_says(/It is done already/)
  end
end
