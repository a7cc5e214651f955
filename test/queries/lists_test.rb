# frozen_string_literal: true

require_relative "../test_helper"

# The queries behind the other lists: rack, orders, dates computed again, practice, books, staff, readiness, a sale.
class ListQueriesTest < DatabaseTest
  def washed
    job = settled({ "pre-filter" => { grey: 4 } })
    Services::DoWorkItem.call(job.number, item(job, "pre-filter").id, by: technician, at: NOW)
    item(job, "pre-filter")
  end

  # One list shows each slot with its part, the other the parts that dry elsewhere. Neither shows a part that somebody
  # took off.
  def test_the_rack_by_slots_and_what_dries_elsewhere
    one = washed
    stay = one.on_rack

    refute_nil stay
    lies = lambda do
      [Queries::RackSlots.call.filter_map(&:stay), Queries::RackSlots.elsewhere].map { |stays| stays.include?(stay) }
    end

    assert_equal [!stay.rack_slot_id.nil?, stay.rack_slot_id.nil?], lies.call
    stay.update(rack_slot_id: nil, elsewhere: "on the sill")

    assert_equal [false, true], lies.call
    Services::TakeOffRack.call(stay.id, by: owner, at: NOW, early_reason: "it dries at home")

    assert_equal [false, false], lies.call
  end

  def order(closed_at: nil)
    Models::SupplierOrder.create(supplier_id: Models::Supplier.get(:id), ordered_at: NOW, ordered_by: owner.id,
      closed_at: closed_at, closed_by: closed_at && owner.id, request_key: SecureRandom.uuid)
  end

  # The list begins with the orders that the shop waits for, however old. Page by page it shows each closed order once.
  def test_orders_that_are_waited_for_come_first
    waited = order
    closed = Array.new(Queries::OrdersPlaced::PAGE + 2) { order(closed_at: NOW) }
    first = Queries::OrdersPlaced.call
    open = Models::SupplierOrder.where(closed_at: nil).count

    assert_includes first.first(open).map(&:id), waited.id
    assert_equal open + Queries::OrdersPlaced::PAGE, first.size
    older = Queries::OrdersPlaced.call(before: first.last.id)

    assert_equal closed.first(2).map(&:id).reverse, older.first(2).map(&:id)
    assert_empty older.map(&:id) & first.map(&:id)
    assert_raises(Services::NotFound) { Queries::OrdersPlaced.one(0) }
    assert_equal waited.id, Queries::OrdersPlaced.one(waited.number).id
  end

  def test_a_recompute_of_all_models_is_under_way_for_each
    Models::Recompute.under_way.update(finished_at: NOW)
    mine, others, all = [sheet("Hallmoor Dart M").id, sheet("Ostrel Stride 36").id, nil].map do |sheet_id|
      Models::Recompute.create(sheet_id: sheet_id, reason: "anew", asked_by: owner.id, asked_at: NOW)
    end

    assert_equal [mine, all].map(&:id), Queries::RecomputesUnderWay.call(mine.sheet_id).map(&:id)
    assert_equal [mine, others, all].map(&:id), Queries::RecomputesUnderWay.call.map(&:id)
    all.update(finished_at: NOW)

    assert_equal [mine.id], Queries::RecomputesUnderWay.call(mine.sheet_id).map(&:id)
  end

  def test_rounds_of_practice_are_ones_own_and_over
    Models::PracticeRound.dataset.update(person_id: owner.id)
    mine = Array.new(2) { |n| round(technician, ended_at: NOW + n) }
    round(technician, ended_at: nil)
    round(owner, ended_at: NOW)

    assert_equal mine.map(&:id).reverse, Queries::PracticeRounds.of(technician).map(&:id)
  end

  def round(person, ended_at:)
    minutes = ended_at && 5.0
    Models::PracticeRound.create(person_id: person.id, sheet_version_id: Models::SheetVersion.get(:id), seed: 1,
      complaint: "weak", hidden: Sequel.pg_array(["belt"], :text), begun_at: NOW, ended_at: ended_at, minutes: minutes,
      best_minutes: minutes, hindsight_minutes: minutes)
  end

  def test_the_books_of_a_period_hold_its_first_and_its_last_day
    job = close_job(settled({ "pre-filter" => { torn: true } }).tap { |one| do_all(one) })
    Services::HandOver.call(job.number, by: owner, at: NOW)
    bill = Models::Bill.first(job_id: job.id)
    day = bill.issued_on

    assert_includes Queries::Books.bills(day, day).map(&:id), bill.id
    refute_includes Queries::Books.bills(day + 1, day + 9).map(&:id), bill.id
    refute_includes Queries::Books.bills(day - 9, day - 1).map(&:id), bill.id
    assert_equal bill.id, Queries::Books.standing(job).id
  end

  # People who left come after people who work here, whatever their names.
  def test_who_left_stands_last
    people = Queries::Staff.all
    people.first.update(status_id: Models::Person.max(:status_id) + 1)

    assert_equal people.first.id, Queries::Staff.all.last.id
    assert_equal people.map(&:id).sort, Queries::Staff.all.map(&:id).sort
    assert_equal({ owner.id => owner.name }, Queries::Staff.names([owner.id, 0]))
  end

  # A worker that died leaves its row behind; the shop is ready only while the worker's connection is there.
  def test_a_worker_that_died_is_not_there
    DB[:que_lockers].delete
    row = { worker_count: 1, worker_priorities: Sequel.pg_array([nil], :integer), ruby_pid: 1, ruby_hostname: "x",
            queues: Sequel.pg_array([""], :text), listening: true, job_schema_version: 1 }
    gone = DB[:pg_stat_activity].max(:pid) + 1_000_000
    DB[:que_lockers].insert(pid: gone, **row)

    refute Queries::Readiness.call[:worker]
    DB[:que_lockers].insert(pid: DB.get(Sequel.function(:pg_backend_pid)), **row)

    assert_equal({ database: true, migrations: true, storage: true, worker: true }, Queries::Readiness.call)
  end

  # The sale offers the best part for each place of the machine that is on the shelf and not yet on the counter.
  def test_a_sale_offers_what_fits_and_is_not_on_the_counter
    machine = new_machine
    sale = ->(pieces) { Queries::Sale.new(pieces: pieces, today: today, machine_id: machine.id) }
    offered = sale.call({}).fitting
    place, best = offered.first

    assert_operator offered.size, :>, 1
    assert(offered.all? { |_, part| part.on_shelf? })
    with_it = sale.call({ best.id => 2 })

    refute_includes with_it.fitting.map { |_, part| part.id }, best.id
    line = with_it.lines.first

    assert_equal [best.id, 2, true], [line.part.id, line.pieces, line.places.map(&:key).include?(place.key)]
    assert_equal machine.customer, with_it.customer
    nobody = Queries::Sale.new(pieces: { best.id => 1 }, today: today)

    assert_equal [nil, [], []], [nobody.customer, nobody.fitting, nobody.lines.first.places]
    assert_in_delta 2 * nobody.quote.total_cents, with_it.quote.total_cents, 1, "tax is rounded on the sum"
  end
end
