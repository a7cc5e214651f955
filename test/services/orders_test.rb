# frozen_string_literal: true

require_relative "../test_helper"

# What is short, what is ordered of it, what came, and how long it took.
class OrdersTest < DatabaseTest
  def setup
    @part = part("HD-2010")
    @supplier = @part.supplier
    Services::CountStock.call(@part, pieces: 1, reason: "test", by: owner, at: NOW)
    forecast(@part, 5)
  end

  def forecast(part, level)
    DB[:part_forecasts].insert_conflict(target: :part_id, update: { level: level }).insert(
      part_id: part.id, days: 10, from_dues: 2, from_walk_ins: 1, level: level, weeks: Sequel.pg_array([0] * 13, :real),
      walk_ins_a_week: 1, tasks: 3
    )
  end

  def short(part = @part)
    Services::Short.rows.find { |row| row.part.id == part.id }
  end

  def order(pieces, key: SecureRandom.uuid, at: NOW)
    Services::PlaceOrder.call(@supplier, pieces: { @part.id => pieces }, request_key: key, by: owner, at: at)
  end

  def receive(order, pieces, key: SecureRandom.uuid, at: NOW)
    Services::ReceiveOrder.call(order.number, pieces: { order.lines.first.id => pieces }, request_key: key, by: owner,
      at: at)
  end

  # The demo's orders taught something of its own suppliers.
  def never_ordered_from
    @supplier = Models::Supplier.create(name: "Gannet Seals", lead_days: 3)
    @part = Services::AddPart.call({ number: "GS-1", name: "Seal", kind: "seal", price_cents: 500,
      supplier_id: @supplier.id }, fits: [], by: owner, at: NOW)
    @part = part("GS-1")
  end

  def test_short_up_to_the_level_in_whole_packs
    assert_equal 4, short.pieces
    @part.update(pack_pieces: 3)

    assert_equal 6, short.pieces
    forecast(@part, 1)

    assert_nil short
  end

  def test_what_is_on_its_way_and_what_is_promised_count
    order(3)

    assert_equal 1, short.pieces
    job = take_in
    record(job, "pre-filter", { torn: true })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    Services::ChoosePart.call(job.number, item(job, "pre-filter").id, choice: @part.id.to_s, by: technician, at: NOW)
    Services::Settle.call(job.number, agreed_name: "Wendel", agreed_how: "phone", by: technician, at: NOW)

    assert_equal 2, short.pieces
  end

  def test_what_is_no_longer_made_is_not_ordered
    @part.update(discontinued: true)

    assert_nil short
  end

  def test_ordered_twice_is_ordered_once
    key = SecureRandom.uuid

    assert_equal order(2, key: key).number, order(2, key: key).number
    assert_raises(Services::Invalid) { order(0) }
    assert_raises(Services::Invalid) do
      Services::PlaceOrder.call(Models::Supplier.exclude(id: @supplier.id).first,
        pieces: { @part.id => 1 }, request_key: SecureRandom.uuid, by: owner, at: NOW)
    end
  end

  def test_received_in_parts_and_closed_when_all_is_there
    placed = order(3)
    receive(placed, 1)

    assert_equal [2, nil, 2], [@part.refresh.stock, placed.refresh.closed_at, placed.lines_dataset.first.missing]
    receive(placed, 2)

    refute_nil placed.refresh.closed_at
    assert_equal 4, Models::Part[@part.id].stock
    assert_raises(Services::Refused) { receive(placed, 1) }
  end

  def test_received_twice_is_received_once
    placed = order(3)
    2.times { receive(placed, 2, key: "9b2c6e0a-0000-4000-8000-000000000001") }

    assert_equal 3, @part.refresh.stock
  end

  def test_the_rest_that_will_not_come_is_closed_by_hand
    placed = order(3)
    receive(placed, 1)
    2.times { Services::ReceiveOrder.close(placed.number, by: owner, at: NOW) }

    assert_equal 3, short.pieces
  end

  # Stated 3 days count as three arrivals: (9 + 15) / 4 = 6.
  def test_lead_times_are_learned_from_what_arrived
    never_ordered_from

    assert_equal 3, @part.refresh.days_to_come
    receive(order(1, at: in_days(-15)), 1)

    assert_equal [6, 6], [@part.refresh.learned_lead_days, @supplier.refresh.learned_lead_days]
    assert_equal 6, @part.days_to_come
  end
end
