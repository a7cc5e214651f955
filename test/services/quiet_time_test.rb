# frozen_string_literal: true

require_relative "../test_helper"

# Who was just here is left in peace.
class QuietTimeTest < DatabaseTest
  def setup
    super
    @machine = new_machine(bought_on: today - 800)
    Services::SetClocks.call(@machine, on: today)
    always_open
  end

  def handed_over(days_ago)
    take_in(@machine).update(state: "handed_over", handed_over_at: in_days(-days_ago))
  end

  def book
    Services::DueBook.new(today: today, customer_ids: [@machine.customer_id])
  end

  def test_no_card_within_the_quiet_time_and_one_after_it
    assert_equal 1, book.leaving.size
    job = handed_over(10)

    assert_empty book.leaving
    assert_match(/was here on/, book.left_out.values.map(&:words).join)
    job.update(handed_over_at: in_days(-61))

    assert_equal 1, book.leaving.size
  end

  def test_the_owner_says_how_long
    handed_over(10)
    Services::SavePolicies.call({ "quiet_days" => 5 }, by: owner, at: NOW)

    assert_equal 1, book.leaving.size
  end

  def test_who_asked_to_be_told_is_told
    handed_over(10)
    Models::Due.running.where(machine_id: @machine.id).update(snoozed_until: today)

    assert_equal 1, book.leaving.size
  end
end
