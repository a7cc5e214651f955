# frozen_string_literal: true

require_relative "../test_helper"

# How many slots the rack has: more, fewer, and never fewer than what lies there needs.
class SetRackTest < DatabaseTest
  def set(slots, by: owner)
    Services::SetRack.call(slots, by: by, at: NOW)
  end

  def labels
    Models::RackSlot.in_use.order(:id).select_map(:label)
  end

  def setup
    Models::RackStay.where(off_at: nil).update(off_at: NOW, off_by: owner.id, early_reason: "emptied")
  end

  def test_more_and_fewer_and_back_again
    before = labels
    set(before.size + 2)

    assert_equal [*before, *[1, 2].map { |more| (before.last.to_i + more).to_s }], labels
    set(2)

    assert_equal before.first(2), labels
    set(before.size)

    assert_equal before, labels
  end

  def test_no_fewer_than_lie_there
    stay = Models::RackStay.first
    stay.update(rack_slot_id: Models::RackSlot.in_use.order(:id).first.id, off_at: nil, off_by: nil, early_reason: nil)

    assert_raises(Services::Refused) { set(0) }
    set(1)

    assert_empty Models::RackSlot.free.all
  end

  def test_too_many_and_who_may_not
    assert_raises(Services::Invalid) { set(401) }
    assert_raises(Services::Forbidden) { set(3, by: technician) }
  end
end
