# frozen_string_literal: true

require_relative "../test_helper"

# From "please send me the part" to the clock that begins at home, or to the parcel that came back.
class ParcelsTest < DatabaseTest
  def setup
    @machine = new_machine(bought_on: today - 900)
    @machine.customer.update(street: "Quay 4", town: "Lorn")
    answer = Services::FitFor.new(@machine.to_core, @machine, today: today).call(["pre-filter"]).fetch("pre-filter")
    @part = Models::Part[answer.candidates.first.part.id]
    Services::MoveStock.call(@part, pieces: 4, kind: "received", by: owner, at: NOW)
    @stock = @part.refresh.stock
  end

  def pack(key: SecureRandom.uuid, **more)
    sale = { pieces: { @part.id => 1 }, way: "account", customer: @machine.customer, machine: @machine,
             fitted: { "pre-filter" => @part.id }, request_key: key, **more }
    Services::PackParcel.call(sale, postage_cents: 650, by: owner, at: NOW)
  end

  def move(parcel, how, **more)
    Services::MoveParcel.call(parcel, how, by: owner, at: NOW, **more)
  end

  def fitted_on
    Models::Fitting.in_place.first(machine_id: @machine.id, position: "pre-filter").fitted_on
  end

  def test_packed_is_sold_with_the_postage_and_no_clock_begins
    before = fitted_on
    parcel = pack

    assert_equal [@part.price_cents + 650, "Quay 4"], [parcel.bill.net_cents, parcel.address.to_a[1]]
    assert_equal [@stock - 1, before], [@part.refresh.stock, fitted_on]
    key = SecureRandom.uuid

    assert_equal pack(key: key).id, pack(key: key).id
  end

  def test_sent_and_said_to_be_fitted_its_clock_begins
    parcel = pack
    assert_raises(Services::Refused) { move(parcel, "fitted") }
    move(parcel, "sent")
    move(parcel, "fitted", on: today)

    assert_equal [today, "fitted"], [fitted_on, parcel.refresh.state]
    assert_equal today, Models::Due.running.first(machine_id: @machine.id, position: "pre-filter", action: "replace")
      .started_on
  end

  def test_of_which_nobody_says_anything_is_taken_to_be_fitted_after_ten_days
    parcel = pack
    move(parcel, "sent")

    assert_equal 0, Services::MoveParcel.fitted_by_now(at: in_days(9))
    assert_equal 1, Services::MoveParcel.fitted_by_now(at: in_days(11))
    assert_equal [today + 10, "fitted"], [fitted_on, parcel.refresh.state]
    assert_equal 0, Services::MoveParcel.fitted_by_now(at: in_days(11))
  end

  def test_what_came_back_lies_on_the_shelf_and_its_bill_is_taken_back
    parcel = pack
    move(parcel, "sent")
    move(parcel, "came_back")

    assert_equal [@stock, 0], [@part.refresh.stock, Services::Balance.of(parcel.bill)]
    assert_raises(Services::Refused) { move(parcel, "fitted") }
    assert_raises(Services::NotFound) { move(parcel, "lost") }
  end

  def test_not_without_a_customer_or_an_address
    assert_raises(Services::Invalid) { pack(customer: nil) }
    @machine.customer.update(street: nil)
    assert_raises(Services::Invalid) { pack }
  end

  def test_what_was_asked_for_on_a_card_goes_from_the_list_once_it_is_packed
    @machine.customer.update(email: "wendel@example.org", email_agreed: true)
    card = write_card(@machine.customer)
    Services::AnswerCard.call(card, kind: "send_part", by: behind(card), at: NOW)
    asked = -> { Queries::PartsToSend.call.map(&:card_id).include?(card.id) }
    parcel = pack
    parcel.update(card_id: card.id)

    refute asked.call
  end

  def asked_on_a_card(**address)
    card = write_card(@machine.customer, at: NOW)
    Services::AnswerCard.call(card, kind: "send_part", at: NOW, by: Services::Actor.customer_by_card(card),
      address: (address unless address.empty?))
    card
  end

  def pack_for(card)
    sale = { pieces: { @part.id => 1 }, way: "account", customer: @machine.customer.refresh, machine: @machine,
             fitted: {}, request_key: SecureRandom.uuid }
    Services::PackParcel.call(sale, postage_cents: 0, by: owner, at: NOW, card_id: card.id)
  end

  def test_it_goes_where_the_customer_says
    elsewhere = asked_on_a_card(street: "Mole 9", town: "Pell", region: nil, postcode: nil)

    assert_equal ["Mole 9", "Pell"], pack_for(elsewhere).address.to_a[1..2]
    assert_equal "Quay 4", @machine.customer.refresh.street
    assert_includes pack_for(asked_on_a_card).address.to_a, "Quay 4"
  end

  def test_an_address_is_asked_for_where_none_is_on_file
    @machine.customer.update(street: nil, town: nil)

    assert_raises(Services::Invalid) { asked_on_a_card }
    assert_raises(Services::Invalid) { asked_on_a_card(street: "Mole 9", town: nil, region: nil, postcode: nil) }
    asked_on_a_card(street: "Mole 9", town: "Pell", region: nil, postcode: nil)

    assert_equal ["Mole 9", "Pell"], @machine.customer.refresh.values.values_at(:street, :town)
  end

  # What is said on the phone is written down, and the address asked for when it is packed.
  def test_told_on_the_phone_without_an_address
    @machine.customer.update(street: nil, town: nil)
    card = write_card(@machine.customer, at: NOW)
    Services::HearAnswer.call(card, { kind: "send_part" }, by: owner, at: NOW)

    assert_equal "send_part", Models::Answer.first(card_id: card.id).kind
    assert_raises(Services::Invalid) { pack_for(card) }
  end
end
