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

    assert_equal [2190, 0], lines.map(&:net_cents).sort.reverse
    assert_equal 1, Services::ReservedParts.for_others.fetch(part("BW-5010").id)
  end

  def test_taken_once_and_put_back_once
    each_item(Services::DoWorkItem)

    assert_equal @before - 1, part("BW-5010").stock
    each_item(Services::UndoWorkItem)

    assert_equal @before, part("BW-5010").stock
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
