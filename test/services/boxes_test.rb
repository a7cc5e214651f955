# frozen_string_literal: true

require_relative "../test_helper"

# A box that serves two places of a job is paid once, taken off the shelf once, and put back once.
class BoxesTest < DatabaseTest
  def setup
    @job = take_in(new_machine("Brackwater Loft K"))
    record(@job, "bag", { fill_percent: 100 })
    record(@job, "motor-filter", { torn: true })
    Services::FinishLookOver.call(@job.number, by: technician, at: NOW)
    %w[bag motor-filter].each do |place|
      Services::ChoosePart.call(@job.number, item(@job, place).id,
        choice: part("BW-5010").id.to_s, by: technician, at: NOW)
    end
    Services::Settle.call(@job.number, agreed_name: "Wendel", agreed_how: "phone", by: technician, at: NOW)
    @before = part("BW-5010").stock
  end

  def each_item(service)
    %w[bag motor-filter].each { |place| service.call(@job.number, item(@job, place).id, by: technician, at: NOW) }
  end

  def test_paid_once
    lines = Services::Quotes.agreed(@job).to_lines.select { |line| line.kind == :part }

    assert_equal [2190, 0], lines.map(&:price_cents).sort.reverse
    assert_equal 1, Services::ReservedParts.for_others.fetch(part("BW-5010").id)
  end

  def test_taken_once_and_put_back_once
    each_item(Services::DoWorkItem)

    assert_equal @before - 1, part("BW-5010").stock
    each_item(Services::UndoWorkItem)

    assert_equal @before, part("BW-5010").stock
  end

  def closed_up(job)
    job.work_items_dataset.where(state: "to_do").each do |item|
      Services::DoWorkItem.call(job.number, item.id, by: technician, at: NOW)
    end
    close_job(job)
    Services::HandOver.call(job.number, counted_out: {}, by: technician, at: NOW)
  end

  def at_home
    Models::HomePiece.there(@job.machine_id, on: today).all.map { |piece| [piece.part.number, piece.kind, piece.pieces] }
  end

  # The next time the customer brings a bag of that box along: nothing is sold, and the bag's clock begins anew.
  def test_what_went_home_is_fitted_the_next_time
    closed_up(@job)
    pieces = part("BW-5010").contents.fetch("bag") - 1

    assert_equal [["BW-5010", "bag", pieces]], at_home
    again = take_in(Models::Machine[@job.machine_id], at: NOW + 60)
    record(again, "bag", { fill_percent: 100 })
    Services::FinishLookOver.call(again.number, by: technician, at: NOW)
    Services::ChoosePart.call(again.number, item(again, "bag").id, choice: "home", by: technician, at: NOW)
    Services::Settle.call(again.number, agreed_name: "Wendel", agreed_how: "phone", by: technician, at: NOW)
    stock = part("BW-5010").stock
    closed_up(again)

    assert_equal [["BW-5010", "bag", pieces - 1]], at_home
    assert_equal stock, part("BW-5010").stock
    refute_includes Services::Quotes.agreed(again).to_lines.map(&:kind), :part
    fitted = Models::Fitting.in_place.first(machine_id: again.machine_id, position: "bag")

    assert_equal [part("BW-5010").id, again.id], [fitted.part_id, fitted.job_id]
    due = Models::Due.running.first(machine_id: again.machine_id, position: "bag", action: "replace")

    assert_equal today, due.started_on
  end

  # What came before is used up by then.
  def test_of_the_newest_box_and_not_for_ever
    row = { machine_id: @job.machine_id, part_id: part("BW-5010").id, kind: "bag", job_id: @job.id }
    other = take_in
    Models::HomePiece.create(**row, pieces: 2, given_on: today - 300)
    Models::HomePiece.create(**row, job_id: other.id, pieces: 3, given_on: today - 364)

    assert_equal [["BW-5010", "bag", 3]], at_home
    assert_empty Models::HomePiece.there(@job.machine_id, on: today + 65).all
  end

  def test_nothing_is_at_home_of_what_nobody_bought
    refused = assert_raises(Services::Refused) do
      Services::ChoosePart.call(@job.number, item(@job, "bag").id, choice: "home", by: technician, at: NOW)
    end

    assert_match(/known to be at home/, refused.message)
  end

  # Four bags and a motor filter: one of each is fitted, three bags go home with the customer.
  def test_what_is_left_goes_home
    left = lambda {
      Services::Boxes.left(@job.sheet, @job.work_items_dataset.eager(:part).all)
        .map { |part, kind, pieces| [part.number, kind, pieces] }
    }

    assert_empty left.call
    each_item(Services::DoWorkItem)

    assert_equal [["BW-5010", "bag", part("BW-5010").contents.fetch("bag") - 1]], left.call
  end
end
