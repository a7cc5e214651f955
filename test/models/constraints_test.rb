# frozen_string_literal: true

require_relative "../test_helper"

# What must hold whatever the program does: the database says no, by a named constraint.
class ConstraintsTest < DatabaseTest
  def refused(name, &)
    error = assert_raises(Sequel::DatabaseError) { DB.transaction(savepoint: true, &) }

    assert_includes error.message, name
  end

  def test_people_have_a_role_and_one_address_each
    fields = { name: "A", email: "a@example.org", role: "technician", password_hash: "x" }
    Models::Person.create(fields)

    refused("people_email") { Models::Person.create(fields.merge(email: "A@example.org")) }
    refused("people_role") { Models::Person.create(fields.merge(email: "b@example.org", role: "king")) }
  end

  def test_machines
    machine = new_machine

    refused("machines_serial_number") do
      Models::Machine.create(machine.values.except(:id).merge(serial_number: machine.serial_number.downcase))
    end
    refused("machines_hours") { machine.update(hours_per_week: 169) }
    refused("machines_state") { Models::Machine.where(id: machine.id).update(state: "lost") }
    refused("machines_traits") { machine.update(traits: Sequel.pg_array(["parrots"], :text)) }
  end

  def test_one_fitting_in_a_position
    fitting = new_machine.fittings.first

    refused("fittings_one_in_a_position") { Models::Fitting.create(fitting.values.except(:id)) }
    refused("fittings_dates") { fitting.update(removed_on: fitting.fitted_on - 1) }
  end

  def test_one_part_on_a_place_and_no_early_end_without_a_reason
    job = settled({ "pre-filter" => { grey: 5 }, "post-filter" => { grey: 5 } })
    do_all(job)
    stay = item(job, "pre-filter").on_rack

    refused("rack_stays_one_part_per_slot") { item(job, "post-filter").on_rack.update(rack_slot_id: stay.rack_slot_id) }
    refused("rack_stays_early_has_reason") { stay.update(off_at: NOW, off_by: owner.id) }
    refused("rack_stays_off_by_name") { stay.update(off_at: NOW + 200_000) }
  end

  def test_work_and_findings_have_a_name_behind_them
    job = settled({ "pre-filter" => { grey: 5 } })

    refused("work_items_done_by_name") { item(job, "pre-filter").update(state: "done") }
    refused("findings_one_per_position") do
      Models::Finding.create(Models::Finding.first(job_id: job.id).values.except(:id))
    end
    refused("jobs_wet_needs_a_name") { job.update(wet_reason: "hurry") }
    refused("found_by") { Models::Finding.where(job_id: job.id).update(found_by: nil) }
  end

  def test_dues_and_cards
    machine = new_machine
    Services::SetClocks.call(machine, on: today)
    due = Models::Due.running.where(machine_id: machine.id).exclude(due_on: nil).first

    refused("dues_one_open") { Models::Due.create(due.values.except(:id).merge(cycle: 2)) }
    refused("dues_cycle_once") { Models::Due.create(due.values.except(:id).merge(state: "done", closed_on: today)) }
    refused("dues_bounds") { due.update(early_on: due.due_on + 1) }
    refused("messages_one_per_card") { Models::Message.create(Models::Message.first.values.except(:id, :key)) }
  end

  def test_stock
    roll = part("HD-2030")

    refused("stock_never_below_zero") do
      Models::StockMove.create(part_id: roll.id, pieces: -9999, kind: "used", moved_by: owner.id)
    end
    refused("stock_moves_count_has_reason") do
      Models::StockMove.create(part_id: roll.id, pieces: 1, kind: "counted", moved_by: owner.id)
    end
    refused("permission denied") { Models::StockMove.where(part_id: roll.id).update(pieces: 1) }
  end

  def test_the_shop_is_one
    refused("shops_only_one") { Models::Shop.create(id: 2, name: "B", street: "x", town: "y", phone: "1", email: "e") }
  end
end
