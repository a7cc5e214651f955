# frozen_string_literal: true

require_relative "../test_helper"

# The drying room as a device reads it, slots by size, what dries elsewhere, and parts that are weighed.
class DryingRoomServicesTest < DatabaseTest
  def setup
    super
    Models::RoomReading.dataset.delete
    @room, @token = Services::KeepGauge.add({ kind: "room", name: "Room two", unit: nil, error_percent: 2.0,
                                              pattern: "T {temperature} H {humidity}" }, by: owner, at: NOW)
  end

  def hear(text, at: NOW)
    Services::HearGauge.call(@token, "0 #{text}\n", at: at)
  end

  def readings
    Models::RoomReading.where(gauge_id: @room.id)
  end

  def washed(at: NOW, **wash)
    job = settled({ "pre-filter" => { grey: 5 } })
    item = item(job, "pre-filter")
    Services::ChoosePart.call(job.number, item.id, choice: "wash", by: technician, at: at) unless item.action == "wash"
    Services::DoWorkItem.call(job.number, item.id, by: technician, at: at, wash: wash)
    Models::RackStay.first(work_item_id: item.id, off_at: nil)
  end

  def test_every_few_minutes_and_when_it_changed
    hear("T 21.0 H 50")
    hear("T 21.2 H 51", at: NOW + 60)
    hear("T 21.2 H 58", at: NOW + 120)
    hear("T 21.2 H 58", at: NOW + 500)
    hear("T 99 H 58", at: NOW + 1000)

    assert_equal [50.0, 58.0, 58.0], readings.order(:read_at).select_map(:humidity_percent)
    refute @room.stream.refresh.understood
  end

  def test_the_air_counts_where_somebody_asks_for_it
    assert_equal 21, Services::Policies.now.drying_air.temperature_c, "as it was typed"
    hear("T 18.0 H 65", at: Time.now)

    assert_in_delta 18.0, Services::Policies.now.drying_air.temperature_c
    readings.update(read_at: Time.now - (4 * 3600))

    assert_equal 21, Services::Policies.now.drying_air.temperature_c, "four hours old, it says nothing"
  end

  def test_a_damp_night_moves_the_clock_and_asks_for_a_plan
    stay = washed
    before = stay.dry_at
    DB[:que_jobs].where(job_class: Services::MakePlan::Work.name).update(finished_at: NOW)
    hear("T 21.0 H 75", at: NOW + 3600)

    assert_operator stay.refresh.dry_at, :>, before + (12 * 3600)
    assert_operator stay.ready_at, :>=, stay.dry_at
    assert_equal 1, DB[:que_jobs].where(job_class: Services::MakePlan::Work.name, finished_at: nil).count
    hear("T 21.0 H 50", at: NOW + 7200)

    assert_operator stay.refresh.dry_at, :<, before + (2 * 3600)
    assert_operator stay.dry_at, :>=, before
  end

  def test_what_would_take_too_long_says_so_and_dries_elsewhere
    stay = washed
    hear("T 21.0 H 96", at: NOW + 30)

    assert stay.refresh.too_damp
    refute stay.dry?(stay.dry_at + 86_400), "however long it lies there"
    refusal = assert_raises(Services::Refused) { washed }

    assert_match(/will not dry here.*say where/i, refusal.message)
    elsewhere = washed(elsewhere: "by the stove")

    assert_equal [nil, "by the stove"], [elsewhere.rack_slot_id, elsewhere.lies]
    assert_in_delta elsewhere.base_hours * 3600, elsewhere.dry_at - elsewhere.washed_at
    refute_empty Models::RackSlot.free.all, "what lies elsewhere takes no slot"
    hear("T 21.0 H 50", at: NOW + 7200)

    refute stay.refresh.too_damp
  end

  def test_what_is_too_damp_moves_elsewhere_and_gets_its_hours_anew
    stay = washed
    slot = stay.rack_slot_id
    hear("T 21.0 H 96", at: NOW + 30)
    moved = Services::DryElsewhere.call(stay.id, " boiler room ", by: technician, at: NOW + 3600)

    assert_equal ["boiler room", nil, false], [moved.elsewhere, moved.rack_slot_id, moved.too_damp]
    assert_in_delta 3600 + (24 * 3600), moved.dry_at - NOW, 1
    assert_includes Models::RackSlot.free.select_map(:id), slot
    again = Services::DryElsewhere.call(stay.id, "boiler room", by: technician, at: NOW + 7200)

    assert_in_delta moved.dry_at, again.dry_at, 0.001
    assert_raises(Services::Invalid) { Services::DryElsewhere.call(stay.id, " ", by: technician, at: NOW + 3600) }
    Services::TakeOffRack.call(stay.id, by: technician, at: NOW + (26 * 3600))

    assert_raises(Services::Refused) { Services::DryElsewhere.call(stay.id, "x", by: technician, at: NOW + 93_700) }
  end

  def test_a_part_takes_the_smallest_slot_that_will_do
    free = Models::RackSlot.free.all
    Services::SetRack.sizes(free.to_h { |slot| [slot.id, slot == free.last ? 1 : 3] }, by: owner, at: NOW)

    assert_equal free.last.id, washed.rack_slot_id, "a pre-filter is small"
    Models::RackSlot.where(id: free.map(&:id)).update(size: 1)
    Models::RackSlot.where(id: free.map(&:id)).exclude(id: free.last.id).update(closed: true)

    assert_match(/Every slot/, assert_raises(Services::Refused) { washed }.message)
    assert_raises(Services::Forbidden) { Services::SetRack.sizes({ free.last.id => 2 }, by: technician, at: NOW) }
  end

  def weigh(stay, grams, at)
    Services::WeighOnRack.call(stay.id, grams, by: technician, at: at)
  end

  # Not shaken out it takes twice its hours; its weight says sooner that it is dry, and never before the maker's hours.
  def test_its_weight_ends_the_clock_but_not_before_the_makers_hours
    stay = washed(shaken: false, dry_grams: 62.0)

    assert_in_delta 48 * 3600, stay.dry_at - stay.washed_at
    refute weigh(stay, 75.0, NOW + 7200).dry
    weigh(stay, 62.1, NOW + 36_000)

    refute stay.refresh.dry?(NOW + 36_001), "ten hours are too few"
    weigh(stay, 62.3, NOW + (25 * 3600))

    assert stay.refresh.dry?(NOW + (25 * 3600))
    assert_raises(Services::Invalid) { weigh(stay, 20.0, NOW + (25 * 3600)) }
    assert_equal 3, stay.weighings_dataset.count
  end

  def test_nobody_weighs_what_was_not_weighed_before
    assert_raises(Services::Refused) { weigh(washed, 60.0, NOW + 60) }
  end

  def test_what_the_scale_shows_once_it_rests
    assert_nil Queries::ScaleNow.call(at: NOW)
    _, token = Services::KeepGauge.add({ kind: "scale", name: "Scale two", pattern: "{value} {unit}", unit: nil,
                                         error_percent: 0.5 }, by: owner, at: NOW)
    Services::HearGauge.call(token, (0..12).map { |step| "#{step * 200} 64.2 g\n" }.join, at: NOW)

    assert_in_delta 64.2, Queries::ScaleNow.call(at: NOW)
    assert_nil Queries::GaugeNow.of(nil, at: NOW)&.then { |now| now.gauge if now.gauge.kind != "suction" }
  end
end
