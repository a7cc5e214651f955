# frozen_string_literal: true

require_relative "../../test_helper"
require "mail"

# A bill goes out by e-mail to who agreed to it, with the paper, and once.
class MailBillTest < DatabaseTest
  def setup
    empty_outbox
    @customer = new_machine.customer.tap { |customer| customer.update(email: "wendel@example.org") }
    @bill = sold
  end

  def sold
    Services::SellOverCounter.call(pieces: { Models::Part.first(number: "HD-2010").id => 1 }, way: "account",
      customer: @customer, request_key: SecureRandom.uuid, by: owner, at: NOW)
  end

  def ask(**more)
    Services::MailBill.call(@bill.refresh, by: owner, at: NOW, **more)
  end

  def hand(notice)
    Services::HandNotice.call(notice.id, at: NOW)
    notice.refresh
  end

  def test_with_their_consent_which_holds_for_the_next
    assert_raises(Services::Invalid) { ask }
    notice = ask(agreed: true)

    assert_equal ["waiting", notice.id, true], [notice.state, ask.id, @customer.refresh.bills_by_mail]
    assert_equal "handed_over", hand(notice).state
    Services::MailBill.if_agreed(sold, by: owner, at: NOW)

    assert_equal 2, Models::Notice.exclude(bill_id: nil).count
  end

  # As the mail library reads it: text and HTML, and the PDF beside them.
  def test_the_paper_is_in_it
    hand(ask(agreed: true))
    mail = Mail.read(outbox("mail").first)

    assert_equal ["Bill #{@bill.number} from #{Models::Shop.the.name}", ["wendel@example.org"]], [mail.subject, mail.to]
    assert_includes mail.text_part.decoded, "attached is Bill #{@bill.number}, $"
    assert_includes mail.html_part.decoded, "<p>Dear"
    assert_equal [["bill-#{@bill.number}.pdf", "%PDF-"]],
      mail.attachments.map { |one| [one.filename, one.decoded[0, 5]] }
  end

  def test_without_an_address
    @customer.update(email: nil)

    assert_raises(Services::Refused) { ask(agreed: true) }
    assert_nil Services::MailBill.if_agreed(@bill, by: owner, at: NOW)
  end

  def test_what_does_not_leave_is_said_on_the_bill
    ask(agreed: true).update(recipient: "wendel@bücher.example")
    hand(Models::Notice.last)

    assert_equal [["to_call", "an address in a message is plain ASCII"]],
      Queries::BillOverview.new(@bill).mailed.map { |notice| [notice.state, notice.last_error] }
  end
end
