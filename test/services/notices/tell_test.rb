# frozen_string_literal: true

require_relative "../../test_helper"

# Who left a machine here hears that it is ready, that it waits, that it will be later: by the way they agreed to, or on
# the phone.
class TellTest < DatabaseTest
  def setup
    empty_outbox
    @job = take_in(new_machine)
    @customer = @job.customer
  end

  def agree(told_by, **address)
    @customer.refresh.update(told_by: told_by, **address)
  end

  def close_up
    Services::FineRest.call(@job.number, "head", by: technician, at: NOW) # nothing is to do
    Services::FinishLookOver.call(@job.number, by: technician, at: NOW)
    Services::Settle.call(@job.number, agreed_name: "Anna", agreed_how: "counter", by: technician, at: NOW)
    close_job(@job, stands_at: " shelf 3 ")
    notice
  end

  def notice
    Models::Notice.where(job_id: @job.id).reverse(:id).first
  end

  def hand(notice, at: NOW)
    Services::HandNotice.call(notice.id, at: at)
    notice.refresh
  end

  def test_ready_goes_out_by_mail_once
    agree("email", email: "wendel@example.org")
    hand(close_up)

    assert_equal ["handed_over", "ready", "shelf 3"], [notice.state, notice.kind, @job.refresh.stands_at]
    mail = File.read(outbox("mail").first)

    assert_match(/^To: wendel@example.org/, mail)
    assert_match(/Your Hallmoor Dart M is ready/, mail)
    refute_match(/List-Unsubscribe/, mail)
    Services::HandNotice.call(notice.id, at: NOW)

    assert_equal 1, outbox("mail").size
  end

  def test_ready_goes_out_as_a_text_message
    agree("text", phone: "555-0142")
    hand(close_up)

    assert_match(/is ready to fetch/, File.read(outbox("text").first))
  end

  def test_without_an_agreement_or_an_address_they_are_called
    assert_equal "to_call", close_up.state
    Services::Told.call(notice, by: owner, at: NOW)
    Services::Told.call(notice, by: owner, at: NOW)

    assert_equal ["called", owner.id], notice.values.values_at(:state, :told_by)
  end

  def test_what_the_channel_refuses_is_called
    agree("text", phone: "none")
    hand(close_up)

    assert_equal "to_call", notice.state
    assert_match(/not a number/, notice.last_error)
  end

  def test_who_does_not_come_hears_again_and_not_for_ever
    agree("email", email: "wendel@example.org")
    hand(close_up)
    kinds = (1..6).map do |weeks|
      Services::RemindToFetch.call(at: in_days(weeks * 15))
      Services::RemindToFetch.call(at: in_days((weeks * 15) + 1))
      Models::Notice.where(job_id: @job.id).update(state: "handed_over")
      notice.kind
    end

    assert_equal ["fetch"], kinds.uniq
    assert_equal 4, Models::Notice.where(job_id: @job.id).count
  end

  def test_fetched_is_not_told_any_more
    close_up
    Services::HandOver.call(@job.number, by: owner, at: NOW)

    assert_equal "withdrawn", notice.state
    Services::RemindToFetch.call(at: in_days(60))

    assert_equal 1, Models::Notice.where(job_id: @job.id).count
  end

  def test_later_is_told_by_a_press_and_promised
    agree("email", email: "wendel@example.org")
    record(@job, "bin-seal", { state: "torn" })
    Services::FinishLookOver.call(@job.number, by: technician, at: NOW)
    Services::Settle.call(@job.number, agreed_name: "Anna", agreed_how: "counter", by: technician, at: NOW)
    promised = @job.refresh.promise_at

    assert_match(/ready in time/, refusal { tell_late(promised + 3600, at: NOW) })
    planned = later_by(promised + 3600)
    late = tell_late(planned, at: promised + 3600)

    assert_equal planned, @job.refresh.promise_at
    assert_includes late.body, Config::Zone.local(planned).strftime("%H:%M")
  end

  # Whoever presses was shown another time than the plan has by now, or one that is past.
  def test_nobody_is_told_what_the_plan_does_not_say
    record(@job, "bin-seal", { state: "torn" })
    Services::FinishLookOver.call(@job.number, by: technician, at: NOW)
    Services::Settle.call(@job.number, agreed_name: "Anna", agreed_how: "counter", by: technician, at: NOW)
    promised = @job.refresh.promise_at
    planned = later_by(promised + 3600)

    assert_match(/The plan has changed: it can be promised for/,
      refusal { tell_late(planned - 900, at: promised + 3600) })
    assert_match(/The plan has changed/, refusal { tell_late(planned, at: planned + 86_400) })
    assert_equal promised, @job.refresh.promise_at
    assert_operator Models::BenchPlan.the.later_by(@job.number), :>, planned + 86_400
  end

  def refusal(&)
    assert_raises(Services::Refused, &).message
  end

  def later_by(at)
    Services::MakePlan.call(at: at)
    Models::BenchPlan.the.later_by(@job.number)
  end

  def tell_late(till, at:)
    Services::TellLate.call(@job.number, till: till, by: owner, at: at)
  end

  def test_the_owner_words_it_in_the_customers_language
    agree("email", email: "wendel@example.org", language: "de")
    Services::Words.keep("de", { ready_subject: "Fertig: {machine}" }, by: owner, at: NOW)

    assert_equal "Fertig: Hallmoor Dart M", close_up.subject
  end

  def test_how_to_hear_of_what_is_due_is_asked_in_one_go
    @customer.refresh.update(email: "wendel@example.org", email_agreed: false)
    Services::HearBy.call(@customer, "email", by: owner, at: NOW)

    assert @customer.refresh.email_agreed
    assert_equal "counter", Models::Consent.where(customer_id: @customer.id).reverse(:id).get(:how)
    assert_raises(Services::Refused) { Services::HearBy.call(@customer.tap { |one| one.update(phone: nil) }, "text", by: owner, at: NOW) }
    Services::HearBy.call(@customer, "none", by: owner, at: NOW)

    assert_equal today, @customer.refresh.stopped_on
  end
end
