# frozen_string_literal: true

require_relative "../test_helper"

class TurnOnRackTest < DatabaseTest
  def setup
    super
    @job = settled({ "post-filter" => { grey: 5 } })
    Services::DoWorkItem.call(@job.number, item(@job, "post-filter").id, by: technician, at: NOW)
    @stay = item(@job, "post-filter").on_rack
  end

  def turn(at)
    Services::TurnOnRack.call(@stay.id, by: owner, at: at)
  end

  def halfway
    NOW + ((@stay.dry_at - NOW) / 2) + 1
  end

  def reminded?(at)
    Queries::JobsOnBench.new(now: at).stays.find { |stay| stay.number == @job.number }.to_turn
  end

  def test_the_rack_reminds_until_it_is_turned
    refute reminded?(NOW + 60)
    assert reminded?(halfway)
    turn(halfway)
    turn(halfway + 60)

    assert_in_delta halfway, @stay.refresh.turned_at, 1, "the first time counts"
    refute reminded?(halfway + 60)
  end

  def test_what_is_off_the_rack_is_not_turned
    Services::TakeOffRack.call(@stay.id, by: owner, at: NOW + 60, early_reason: "needed")

    assert_raises(Services::Refused) { turn(halfway) }
  end
end
