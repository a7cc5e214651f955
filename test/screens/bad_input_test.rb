# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# What people and programs send that is not what was asked for. Nothing answers 500, and nothing typed is lost.
class BadInputTest < DatabaseTest
  include AsStaff

  SCRIPT = '<script>alert("x")</script>'
  NOT_UTF8 = "caf\xE9"

  def setup
    sign_in
  end

  def teardown
    refute_equal 500, status
  end

  def known
    @known ||= new_machine
  end

  def take_in_form(**fields)
    { "machine_id" => known.id.to_s, "customer_id" => known.customer_id.to_s, "request_key" => SecureRandom.uuid,
      "complaint" => "weak",
      "made_safe" => "1", "no_condition" => "1", "hours_per_week" => "2" }.merge(fields.transform_keys(&:to_s))
  end

  def assert_sent_back(words, keeps: nil)
    assert_includes [409, 422], status
    assert_says words
    assert_keeps keeps if keeps
  end

  def test_empty_fields_are_all_named_at_once
    submit "/take-in", { "new" => "1", "request_key" => SecureRandom.uuid, "came_with" => "charger" }

    assert_sent_back(/Name is needed/, keeps: "charger")
    assert_says(/Model is needed/)
    assert_says(/Tick this once it is unplugged/)
  end

  def test_over_long_fields
    submit "/take-in", take_in_form(complaint: "x" * 3000)

    assert_sent_back(/too long: at most 2000/, keeps: "x" * 3000)
    submit "/take-in", { "new" => "1", "customer" => { "name" => "n" * 500 }, "request_key" => SecureRandom.uuid,
      "complaint" => "weak" }

    assert_sent_back(/too long: at most 120/)
  end

  def test_letters_negative_and_absurd_numbers
    { "two" => /must be a number/, "-1" => /0 or more/, "500" => /168 or less/, "1e999" => /must be|less/,
      "NaN" => /must be a number/ }.each do |typed, words|
      submit "/take-in", take_in_form(hours_per_week: typed)

      assert_sent_back(words, keeps: typed)
    end
  end

  def test_absurd_measurements_name_the_unit
    job = take_in(new_machine("Ostrel Stride 36"))
    { "four" => /must be a number/, "400" => /400 mm is not likely here.*Did you mean 4 mm/m,
      "-90" => /lies between -5 mm and 10 mm/ }.each do |typed, words|
      submit "/jobs/#{job.number}/findings/brush-front", { "standout_mm" => typed, "version" => "0" }

      assert_sent_back(words, keeps: typed)
    end
    assert_empty Models::Finding.where(job_id: job.id)
  end

  def test_a_decimal_comma_is_a_decimal_point
    job = take_in(new_machine("Ostrel Stride 36"))
    submit "/jobs/#{job.number}/findings/brush-front", { "standout_mm" => "3,5", "version" => "0" }

    assert_in_delta 3.5, Models::Finding.first(job_id: job.id).seen[:standout_mm]
  end

  def test_bytes_that_are_not_utf8
    submit "/take-in", take_in_form(complaint: NOT_UTF8, came_with: "charger")

    assert_sent_back(/could not be read/, keeps: "charger")
    assert_says(/caf\uFFFD/)
    get "/take-in/find", { "q" => NOT_UTF8 }

    assert_equal 200, status
    get "/find?q=%FF%00%fe"

    assert_equal 303, status
    get "/jobs/%FF"

    assert_equal 404, status
    get "/customers?q=%00&after=%FF"

    assert_equal 200, status
  end

  def test_a_broken_query_is_a_clear_answer
    get "/customers", {}, "QUERY_STRING" => "q[a=%&a=1&a[b]=2"

    assert_equal 400, status
    get "/customers?q[]=a&after[b]=c"

    assert_equal 200, status
  end

  def test_script_in_every_text_field_comes_back_as_text
    submit "/take-in", { "new" => "1", "request_key" => SecureRandom.uuid, "complaint" => SCRIPT, "came_with" => SCRIPT,
      "made_safe" => "1", "no_condition" => "1",
                         "customer" => %w[name phone email street town].to_h { |name| [name, SCRIPT] },
                         "machine" => { "serial_number" => SCRIPT, "sheet_id" => "1" } }

    assert_sent_back(/is not an e-mail address/)
    refute_includes page, SCRIPT, "script came through"
    submit "/take-in", { "new" => "1", "request_key" => SecureRandom.uuid, "complaint" => SCRIPT, "came_with" => SCRIPT,
      "made_safe" => "1", "no_condition" => "1",
                         "customer" => { "name" => SCRIPT, "phone" => SCRIPT, "street" => SCRIPT },
                         "machine" => { "serial_number" => SCRIPT, "sheet_id" => sheet("Hallmoor Dart M").id.to_s } }

    assert_equal 303, status
    job = Models::Job.order(:id).last
    ["/jobs/#{job.number}", "/jobs/#{job.number}/look-over", "/", "/customers/#{job.customer_id}",
     "/machines/#{job.machine_id}", "/take-in/find?q=script",
     "/customers?q=#{Rack::Utils.escape(SCRIPT)}", "/shelf?q=#{Rack::Utils.escape(SCRIPT)}"].each do |path|
      get path

      assert_equal 200, status, path
      refute_includes page, SCRIPT, path
    end
  end

  def test_a_form_sent_twice_makes_one_job
    form = take_in_form
    submit "/take-in", form
    first = last_response["location"]
    submit "/take-in", form

    assert_equal [303, first], [status, last_response["location"]]
    assert_equal 1, Models::Job.where(machine_id: known.id).count
  end

  def test_a_machine_that_is_on_the_bench_already
    job = take_in(known)
    submit "/take-in", take_in_form(came_with: "charger")

    assert_sent_back(/on the bench already, as job #{job.number}/, keeps: "charger")
  end

  def test_unknown_ids
    ["/jobs/99999999", "/jobs/999999999999999999999999", "/jobs/abc", "/customers/0", "/machines/-1", "/shelf/x",
     "/sheets/999", "/cards/999999", "/cards/of/99999",
     "/take-in?machine_id=abc", "/take-in?machine_id=99999999999999999999999", "/jobs/1/tag.pdf", "/c/nonsense"]
      .each do |path|
      get path

      assert_equal 404, status, path
    end
    submit "/rack/99999999/off"

    assert_equal 404, status
    submit "/jobs/99999999/settle"

    assert_equal 404, status
  end

  def test_another_jobs_position_and_item
    mine = settled({ "pre-filter" => { grey: 5 } })
    other = take_in(new_machine("Ostrel Stride 36"))
    submit "/jobs/#{other.number}/findings/pre-filter", { "grey" => "5", "version" => "0" }

    assert_equal 404, status
    submit "/jobs/#{other.number}/items/#{item(mine, 'pre-filter').id}/done"

    assert_equal 404, status
    assert_equal "to_do", item(mine, "pre-filter").state
  end

  def test_a_value_outside_the_list
    job = take_in
    submit "/jobs/#{job.number}/findings/bin-seal", { "state" => "melted", "version" => "0" }

    assert_sent_back(/must be one of: clean, dirty, lifted, binds, torn/)
    submit "/jobs/#{job.number}/findings/pre-filter", { "grey" => "9", "version" => "0" }

    assert_sent_back(/must be one of/)
  end

  def test_a_stale_finding_is_told_and_keeps_what_was_typed
    job = take_in
    record(job, "pre-filter", { grey: 5 })
    submit "/jobs/#{job.number}/findings/pre-filter", { "grey" => "1", "version" => "0" }

    assert_sent_back(/in the meantime/)
    assert_says(/id="pre-filter-grey-1"[^>]* checked/)
    assert_equal 5, Models::Finding.first(job_id: job.id).seen[:grey]
  end

  def test_a_stale_customer_is_told_and_keeps_what_was_typed
    customer = known.customer
    form = { "name" => "Mine", "phone" => "555-0111", "lock_version" => "0" }
    Services::EditCustomer.call(customer, { name: "Theirs" }, version: 0, by: owner, at: NOW)
    submit "/customers/#{customer.id}", form

    assert_sent_back(/Somebody else saved.*Theirs/m, keeps: "Mine")
    assert_equal "Theirs", customer.refresh.name
  end

  def test_notes_without_end
    job = settled({ "battery" => { state: "swollen" } })
    stop = Models::Stop.standing.first(job_id: job.id)
    submit "/jobs/#{job.number}/stops/#{stop.id}", { "note" => "n" * 900 }

    assert_sent_back(/too long: at most 500/, keeps: "n" * 900)
    submit "/jobs/#{job.number}/stops/#{stop.id}", { "note" => "" }

    assert_sent_back(/Write down what was done/)
  end

  def test_stock_in_words_and_counts_below_zero
    shelf = "/shelf/#{part('HD-2010').id}"
    submit "#{shelf}/receive", { "pieces" => "many", "request_key" => SecureRandom.uuid }

    assert_sent_back(/must be a whole number/, keeps: "many")
    submit "#{shelf}/count", { "counted" => "-4", "reason" => "found" }

    assert_sent_back(/0 or more/)
  end

  def test_settings_that_make_no_sense
    monday = { "mon" => { "0" => { "from" => "late", "to" => "12:00" } } }
    submit "/settings",
      { "bag_limit_percent" => "900", "hours" => monday, "closed" => { "0" => { "on" => "someday" } } }

    assert_sent_back(/100 or less/, keeps: "someday")
    assert_says(/write it as in 08:30/)
  end

  def test_days_without_end
    get "/cards", { "until" => "9" * 5000 }

    assert_equal 200, status
    submit "/settings", Screens::Settings::SettingsForm.typed_from(Services::Policies.now)
      .merge("closed" => { "0" => { "on" => "9" * 500 } })

    assert_sent_back(/written as in 2026-12-24/)
    card = write_card(known.customer)
    submit URI(Outbox::Letters.link(card)).path, { "kind" => "will_come", "drop_off_on" => "9" * 5000 }

    assert_sent_back(/Choose one of the days/)
  end

  def test_a_card_for_somebody_who_agreed_to_nothing
    Services::SetClocks.call(known, on: today)
    Models::Due.running.where(machine_id: known.id).update(due_on: today, early_on: nil, late_on: nil)
    known.customer.update(email_agreed: false, phone_agreed: false, text_agreed: false, post_agreed: false)
    get "/cards/of/#{known.customer_id}"

    assert_equal 404, status
    assert_says(/agreed to no way/)
  end

  def test_parameters_of_the_wrong_shape
    submit "/take-in", { "new" => "1", "customer" => "text", "machine" => ["x"], "traits" => "pets",
      "complaint" => { "a" => "b" }, "request_key" => ["x"] }

    assert_sent_back(/is needed/)
    submit "/cards/send", { "customer_ids" => "x" }

    assert_equal 404, status
  end
end
