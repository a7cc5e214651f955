# frozen_string_literal: true

require_relative "../test_helper"

class IntakeServicesTest < DatabaseTest
  def take_in_with(**more)
    take_in(new_machine, **more)
  end

  def test_a_condition_at_the_counter_keeps_the_machine_shut_until_somebody_records_what_was_done
    job = take_in_with(conditions: %w[battery burnt], made_safe: false)
    first, second = Models::Stop.where(job_id: job.id).order(:id).all

    assert_nil job.made_safe_at
    assert_match(/stays shut: Battery swollen/, assert_raises(Services::Refused) do
      record(job, "neck", { state: "clear" })
    end.message)
    Services::ClearStop.call(job.number, first.id, note: "pack in the sand bucket, to the collection point",
      by: technician, at: NOW)
    assert_raises(Services::Refused) { Services::FineRest.call(job.number, "head", by: technician, at: NOW) }
    Services::ClearStop.call(job.number, second.id, note: "looked at by the electrician", by: technician, at: NOW)

    refute_nil record(job, "neck", { state: "clear" })
    assert_equal technician.id, job.refresh.made_safe_by
  end

  def test_nothing_is_opened_before_somebody_said_it_is_safe
    job = take_in_with(made_safe: false)

    assert_match(/unplugged/, assert_raises(Services::Refused) { record(job, "neck", { state: "clear" }) }.message)
  end

  def test_what_came_with_it_goes_back_or_somebody_says_where_it_is
    job = take_in_with(accessories: { "wand" => 1, "crevice tool" => 2 })
    Services::EndEarly.call(job.number, how: "declined", by: technician, at: NOW)
    error = assert_raises(Services::Invalid) do
      Services::HandOver.call(job.number, counted_out: { "wand" => 1, "crevice tool" => 1 }, by: technician, at: NOW)
    end

    assert_match(/Missing: crevice tool/, error.errors[:missing_note].first)
    assert_equal [nil, nil], job.accessories.map(&:pieces_out), "what was refused is not kept"
    Services::HandOver.call(job.number, counted_out: { "wand" => 1, "crevice tool" => 9 }, by: technician, at: NOW)

    assert_equal [1, 2], Models::Accessory.where(job_id: job.id).order(:id).select_map(:pieces_out)
  end

  def test_the_rest_is_written_down
    job = take_in_with(accessories: { "wand" => 1 })
    Services::EndEarly.call(job.number, how: "declined", by: technician, at: NOW)
    Services::HandOver.call(job.number, missing_note: "kept for the next visit", by: technician, at: NOW)

    assert_equal "kept for the next visit", job.refresh.missing_note
  end

  def rough(kind = :canister, model: "Fäther 9")
    customer = new_machine.customer
    machine = { rough: { maker: "Unheardof", model: model, kind: kind }, serial_number: "U-#{SecureRandom.hex(3)}" }
    Services::TakeIn.call({ customer_id: customer.id, machine: machine, use: {}, complaint: "smells",
                            request_key: SecureRandom.uuid }, by: technician, at: NOW)
  end

  def test_an_unknown_model_is_taken_in_with_the_nearest_kind_and_completed_later
    job = rough
    record(job, "hose", { state: "partly" })
    sheet = job.machine.sheet
    content = Models::SheetVersion.with_pk!(sheet.current_version_id).content.to_hash

    assert sheet.to_core.rough
    Services::AddSheet.call(content.merge("rough" => false, "warranty_months" => 24), by: owner, at: NOW)

    refute sheet.refresh.to_core.rough
    assert_equal ["hose"], Models::Finding.where(job_id: job.id).select_map(:position)
    assert_equal job.sheet_version_id, job.refresh.sheet_version_id, "a running job keeps the version it began with"
    assert_equal sheet.id, rough(:stick, model: "FATHER 9").machine.sheet_id, "the same model is not begun twice"
  end

  def test_many_machines_all_or_none
    machines = Array.new(3) { new_machine }
    machines.drop(1).each { |machine| machine.update(customer_id: machines.first.customer_id) }
    rows = machines.map { |machine| { machine_id: machine.id, complaint: "yearly service" } }
    key = SecureRandom.uuid
    call = -> { Services::TakeInFleet.call(machines.first.customer, rows, request_key: key, by: technician, at: NOW) }

    assert_equal call.call.map(&:id), call.call.map(&:id), "sent twice, taken in once"
    assert_equal 3, Models::Job.in_shop.where(machine_id: machines.map(&:id)).count
    fresh = new_machine.tap { |one| one.update(customer_id: machines.first.customer_id) }
    assert_raises(Services::Refused) do
      DB.transaction(savepoint: true) do
        Services::TakeInFleet.call(fresh.customer, [{ machine_id: fresh.id, complaint: "x" }, rows.first],
          request_key: SecureRandom.uuid, by: technician, at: NOW)
      end
    end

    assert_empty Models::Job.where(machine_id: fresh.id)
  end

  def test_what_is_known_of_the_use_stays_when_a_list_says_nothing
    machine = new_machine
    machine.update(hours_per_week: 12)
    Services::TakeInFleet.call(machine.customer, [{ machine_id: machine.id, complaint: "x" }],
      request_key: SecureRandom.uuid, by: technician, at: NOW)

    assert_equal 12, machine.refresh.hours_per_week
  end

  def test_typing_errors_are_forgiven_when_nothing_else_is_found
    new_machine(name: "Wendeline Applegarth-Tarn")
    names = ->(text) { Services::FindCustomers.call(text).map(&:name) }

    ["Aplegarth", "applegrath", "Wendelin Applegart", "tarn wendel"]
      .each { |text| assert_includes names.call(text), "Wendeline Applegarth-Tarn", text }
    assert_empty names.call("qqqqqqq")
  end

  def test_the_last_four_digits_alone_open_the_machine
    machine = new_machine(name: "Solo Person", phone: "555-9471")

    assert_equal machine.id, Services::FindCustomers.only_machine("9471")
    new_machine.update(customer_id: machine.customer_id)

    assert_nil Services::FindCustomers.only_machine("9471")
  end
end
