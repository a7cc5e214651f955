# frozen_string_literal: true

require "mail"
require_relative "../test_helper"

# Who works here hears of it when what they sign in with was changed.
class TellStaffTest < DatabaseTest
  PASSWORD = "a slow heron over mud"

  def setup
    super
    empty_outbox
  end

  # What the queue holds is done, and the mail of it read back.
  # @return [Array<Array(String, String)>] to whom, and what
  def told
    empty_outbox
    jobs = DB[:que_jobs].where(job_class: Services::TellStaff::Work.name)
    jobs.order(:id).select_map(:args).each { |args| Services::TellStaff::Work.run(*args) }
    jobs.delete
    outbox("mail").map { |path| Mail.read(path) }.map { |mail| [mail.to.first, mail.text_part.decoded] }.sort
  end

  def test_a_changed_password_a_given_one_and_a_factor
    Services::OwnPassword.change(technician, old: Demo::Load::PASSWORD, new: PASSWORD, address: "192.0.2.7", at: NOW)
    (to, text), = told

    assert_equal technician.email, to
    assert_match(/\AYour password was changed on .*\. If it was not you/, text)
    Services::Staff.give_password(technician, by: owner, at: NOW)
    Services::SecondFactor.take_off(technician, by: owner, at: NOW)
    given, taken_off = told.map(&:last)

    assert_match(/given a new password .* by #{owner.name}/, given)
    assert_match(/second factor was taken off .* by #{owner.name}/, taken_off)
  end

  # The address that they had before, too: whoever changed it reads the new one.
  def test_another_address_is_told_to_the_one_before
    before = technician.email
    Services::Staff.change(technician, { email: "else@ropewalk.example.org" }, by: owner, at: NOW)

    assert_equal [before], told.map(&:first)
    Services::Staff.change(technician, { name: "Tobiah Q. Lund" }, by: owner, at: NOW)

    assert_empty told
  end

  def test_all_that_is_told_is_something_that_happens
    noted = Services::SignIns::VERBS + ["gave a new password", "let in again", "took off a second factor", "changed"]

    assert_empty Services::TellStaff::WORDS.keys - noted
  end

  # What the server will not take is given up, and stands in the log.
  def test_a_refused_address
    Services::SignIns.note("changed the PIN", technician.id, at: NOW)
    refusing = Object.new
    refusing.define_singleton_method(:to_staff) { |*, **| raise Outbox::Rejected, "no such mailbox" }

    Outbox::EmailChannel.stub(:new, refusing) do
      assert_output(nil, /mail to staff/) { told }
    end
  end
end
