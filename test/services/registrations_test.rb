# frozen_string_literal: true

require_relative "../test_helper"

# From the code that is given with a machine to the machine on file, or turned down.
class RegistrationsTest < DatabaseTest
  def given(**more)
    Services::GiveCode.call(by: owner, at: NOW, **more)
  end

  def sent_in(registration = given)
    said = { "sheet_title" => "hallmoor dart", "customer" => { "name" => "Ottoline Brandt" } }
    Services::Register.call(registration, said, at: NOW)
    registration.refresh
  end

  def sell(registration)
    machine = { sheet_id: sheet("Hallmoor Dart M").id, serial_number: "REG-1", bought_on: today, bought_at: nil }
    Services::SellMachine.call({ request_key: SecureRandom.uuid, machine: machine, registration: registration,
                                 customer: { name: "Ottoline Brandt", email: "ob@example.org", email_agreed: true },
                                 use: { hours_per_week: nil, traits: [], allergy: false } }, by: owner, at: NOW)
  end

  def test_a_code_opens_its_own_page_and_no_other
    registration = given
    code = Outbox::RegistrationLink.of(registration).split("/").last

    assert_equal registration.id, Outbox::RegistrationLink.read(code, today: today)
    assert_raises(Formats::SignedCode::NotOurs) { Outbox::JobLink.read(code, today: today) }
    assert_raises(Formats::SignedCode::NotOurs) { Outbox::RegistrationLink.read(code, today: today + 366) }
  end

  def test_confirmed_it_is_on_file_and_what_was_typed_is_gone
    registration = sent_in
    machine = sell(registration)

    assert_equal ["confirmed", {}, machine.id, machine.customer_id],
      [registration.refresh.state, registration.said.to_hash, registration.machine_id, registration.customer_id]
    assert_equal [%w[email page]],
      Models::Consent.where(customer_id: machine.customer_id).select_map(%i[channel how])
    assert_raises(Services::Refused) { Services::Register.call(registration, {}, at: NOW) }
    assert_raises(Services::Refused) { Services::Register.confirm(registration, machine, by: owner, at: NOW) }
  end

  def test_said_anew_until_it_is_settled
    registration = sent_in
    Services::Register.call(registration, { "sheet_title" => "dart m" }, at: NOW)

    assert_equal "dart m", registration.refresh.said["sheet_title"]
    Services::Register.turn_down(registration, by: owner, at: NOW)

    assert_equal ["turned_down", {}], [registration.refresh.state, registration.said.to_hash]
    assert_raises(Services::Refused) { Services::Register.turn_down(registration, by: owner, at: NOW) }
    assert_raises(Services::Refused) { Services::Register.turn_down(given, by: owner, at: NOW) }
  end

  def test_what_a_forgotten_customer_sent_in_is_gone
    customer = new_machine.customer
    registration = sent_in(given(customer: customer))
    Services::Forget.call(customer, by: owner, at: NOW)

    assert_equal [{}, "turned_down"], [registration.refresh.said.to_hash, registration.state]
  end
end
