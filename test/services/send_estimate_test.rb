# frozen_string_literal: true

require_relative "../test_helper"

# What is put before the customer: how long it holds, who may agree to it, what is taken off and what a card earned.
class SendEstimateTest < DatabaseTest
  def sent_one(number = "HD-2010", machine: new_machine, at: NOW)
    @job = take_in(machine)
    record(@job, "pre-filter", { torn: true })
    Services::FinishLookOver.call(@job.number, by: technician, at: at)
    choose(number)
    send_again(at: at)
  end

  def choose(number)
    Services::ChoosePart.call(@job.number, item(@job, "pre-filter").id, choice: part(number).id.to_s, by: technician,
      at: NOW)
  end

  def send_again(at: NOW)
    Services::SendEstimate.call(@job.number, by: technician, at: at)
  end

  def slip
    Services::Actor.customer_by_slip(@job)
  end

  def agree(sent, at: NOW, **more)
    Services::AgreeToEstimate.call(@job.number, sent.id, agreed_name: "Wendel Testrup", by: slip, at: at, **more)
  end

  # Bench time 15.00 and the filter 16.50, each with 15 % tax, rounded by class half to even: 2.25 and 2.48 (2.475).
  def test_the_customer_agrees_to_what_was_sent
    sent = sent_one
    agree(sent, call_above_cents: 9000)
    agreed = Services::Quotes.agreed(@job)

    assert_equal ["settled", "page", nil, sent.id, 3150 + 225 + 248, 9000],
      [@job.refresh.state, *agreed.values.values_at(:agreed_how, :written_by, :estimate_sent_id,
        :total_cents, :call_above_cents)]
    assert_equal "customer by the slip of job #{@job.number}",
      Models::Event.where(job_id: @job.id, verb: "settled").get(:actor)
  end

  def test_agreed_twice_is_agreed_once
    sent = sent_one
    2.times { agree(sent) }

    assert_equal 1, Models::Estimate.where(job_id: @job.id).count
  end

  def test_prices_hold_until_the_day_and_no_longer
    sent = sent_one
    part("HD-2010").update(price_cents: 99_900)

    assert_equal today + 14, sent.valid_until
    assert_match(/held until/, assert_raises(Services::Refused) { agree(sent, at: in_days(15)) }.message)
    assert_equal 99_900, send_again(at: in_days(15)).to_lines.last.price_cents
    agree(sent_one, at: in_days(13))
  end

  def test_what_changed_since_is_not_agreed_to
    before = sent_one
    choose("PT-2010")

    assert_match(/Something changed/, assert_raises(Services::Refused) { agree(before) }.message)
    after = send_again

    assert_match(/We changed the estimate/, assert_raises(Services::Refused) { agree(before) }.message)
    agree(after, warranty_name: "Wendel Testrup")

    assert_equal "settled", @job.refresh.state
  end

  def test_sent_twice_is_one
    first = sent_one

    assert_equal first.id, send_again.id
    assert_raises(Sequel::DatabaseError) { DB.transaction(savepoint: true) { first.update(net_cents: 1) } }
  end

  def test_nothing_is_sent_while_a_part_is_not_chosen
    sent_one
    Models::WorkItem.where(job_id: @job.id).update(part_id: nil)

    assert_match(/Choose a part/, assert_raises(Services::Refused) { send_again }.message)
  end

  def test_the_warranty_ends_by_name_only
    sent = sent_one("PT-2010", machine: new_machine(bought_on: today - 30))

    assert_equal [part("PT-2010").name], sent.ends_warranty.to_a
    assert_raises(Services::Invalid) { agree(sent) }
    agree(sent, warranty_name: "Wendel Testrup")
  end

  def test_opening_what_the_handbook_leaves_shut_needs_a_name
    job = take_in(new_machine(bought_on: today - 30))
    record(job, "cyclone-gasket", { state: "dirty" })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    settle = lambda { |**more|
      Services::Settle.call(job.number, agreed_name: "Wendel", agreed_how: "phone", by: technician, at: NOW, **more)
    }

    assert_match(/opening cyclone gasket may end/, assert_raises(Services::Invalid, &settle).message)
    settle.call(warranty_name: "Wendel Testrup")
    Services::DoWorkItem.call(job.number, item(job, "cyclone-gasket").id, by: technician, at: NOW)
  end

  def test_questions_are_asked_once_and_answered_once
    sent_one
    2.times { Services::AskAboutJob.ask(@job, " Is the old one worth a wash? ", by: slip, at: NOW) }
    asked = Models::Question.where(job_id: @job.id).all
    reply = ->(text) { Services::AskAboutJob.reply(@job.number, asked.first.id, text, by: technician, at: NOW) }
    2.times { reply.call("No, it is torn.") }

    assert_equal [["Is the old one worth a wash?", "No, it is torn."]],
      asked.map { |one| [one.asked, one.refresh.reply] }
    assert_raises(Services::Refused) { reply.call("Perhaps.") }
    assert_raises(Services::Invalid) { Services::AskAboutJob.ask(@job, "  ", by: slip, at: NOW) }
    5.times { |n| Services::AskAboutJob.ask(@job, "And #{n}?", by: slip, at: NOW) }
    assert_raises(Services::Invalid) { Services::AskAboutJob.ask(@job, "And more?", by: slip, at: NOW) }
  end

  # By the outbox, as whatever else they are told: the link that the slip has too, the sum and the day.
  def test_it_goes_out_by_mail_and_by_text
    empty_outbox
    sent = sent_one
    @job.customer.update(email: "wendel@example.org", phone: "+19024250142")
    %w[email text].each do |way|
      notice = Services::TellEstimate.call(@job.number, way: way, by: technician, at: NOW)
      Services::HandNotice.call(notice.id, at: NOW)

      assert_equal ["handed_over", "estimate", way], notice.refresh.values.values_at(:state, :kind, :channel)
      assert_includes notice.body, Outbox::JobLink.of(@job)
      assert_includes notice.body, Services::Policies.now.currency.words(sent.total_cents)
    end
    mail = File.read(outbox("mail").first)

    assert_includes mail, "To: wendel@example.org"
    assert_includes mail, "Our estimate for your"
  end

  def test_it_goes_out_only_where_it_can
    @job = take_in(new_machine)
    send = ->(way) { Services::TellEstimate.call(@job.number, way: way, by: technician, at: NOW) }

    assert_raises(Services::Refused, "none is there") { send.call("email") }
    sent_one
    @job.customer.update(email: nil)

    assert_raises(Services::Refused, "no address") { send.call("email") }
    assert_raises(Services::NotFound) { send.call("fax") }
    assert_equal 0, Models::Notice.where(job_id: @job.id).count
  end

  def test_something_off_has_a_reason_and_stands_on_the_estimate
    sent_one
    take_off = lambda { |percent, reason|
      Services::SetDiscount.call(@job.number, percent: percent, reason: reason, by: technician, at: NOW)
    }

    assert_raises(Services::Invalid) { take_off.call(10, " ") }
    take_off.call(10, "a regular")

    assert_equal [3150 - 315, 315], [send_again.net_cents, send_again.to_lines.sum(&:off_cents)]
    take_off.call(0, nil)

    assert_equal 3150, send_again.net_cents
  end

  def card_for(machine, position = "pre-filter")
    due = Models::Due.running.where(machine_id: machine.id, position: position).first
    offer = Models::Offer.create(minutes: 15, starts_on: today - 30, ends_on: today + 30, created_by: owner.id,
      created_at: in_days(-30))
    card = write_card(machine.customer, at: in_days(-20), offer_id: offer.id)
    Models::CardLine.create(card_id: card.id, due_id: due.id, attempt: 1, leaves_on: today - 20)
    card
  end

  # What sits there is a cassette: a sheet that holds back less does not earn the hour that was meant for one.
  def test_a_lesser_part_does_not_earn_it
    machine = new_machine
    Services::SetClocks.call(machine, on: today)
    card_for(machine)
    cassette = Models::Part.exclude(filter_class: nil).first
    Models::Fitting.in_place.where(machine_id: machine.id, position: "pre-filter").update(part_id: cassette.id)
    agree(sent_one(machine: machine), warranty_name: "Wendel")

    assert_equal 3150, Services::Quotes.agreed(@job).net_cents
    assert_empty Models::Earning.where(job_id: @job.id).all
  end

  def test_the_filter_of_a_card_earns_free_bench_time_once
    machine = new_machine
    Services::SetClocks.call(machine, on: today)
    card = card_for(machine)
    agree(sent_one(machine: machine), warranty_name: "Wendel")

    assert_equal [0, 1650], Services::Quotes.agreed(@job).to_lines.map(&:price_cents)
    assert_match(/15 min free: the .* on the card of/, Services::Quotes.agreed(@job).to_lines.first.note)
    assert_equal [[card.id, @job.id]], Models::Earning.where(job_id: @job.id).select_map(%i[card_id job_id])
    @job.refresh.update(state: "handed_over")

    assert_equal 3150, sent_one(machine: machine).net_cents
  end
end
