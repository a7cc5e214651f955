# frozen_string_literal: true

require_relative "../test_helper"

# A part that nobody lists is chosen at the bench, fitted on trial, and taught.
class TeachFitTest < DatabaseTest
  PLACE = "bin-seal"

  def setup
    @job = looked_over
    @item = item(@job, PLACE)
  end

  def looked_over
    job = take_in(new_machine)
    record(job, PLACE, { state: "torn" })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    job
  end

  def free_line(**more)
    line = { name: "Seal cut from sheet", price_cents: 650, supplier: "Harbour Rubber", number: nil, **more }
    Services::WriteFreeLine.call(@job.number, @item.id, line: line, by: technician, at: NOW)
  end

  def work
    Services::Settle.call(@job.number, agreed_name: "Anna", agreed_how: "counter", by: technician, at: NOW)
    Services::DoWorkItem.call(@job.number, @item.id, by: technician, at: NOW)
  end

  def choose(job, part)
    Services::ChoosePart.call(job.number, item(job, PLACE).id, choice: "other-#{part.id}", by: technician, at: NOW)
  end

  def test_a_free_line_is_fitted_charged_taught_and_offered_the_next_time
    part = free_line

    assert_match(/\AOWN-\d+\z/, part.number)
    assert_equal [part.id, true], @item.refresh.values.values_at(:part_id, :untried)
    assert_equal 650, Services::Quotes.of(@job, [@item]).lines.find { |line| line.kind == :part }.price_cents
    work

    assert_equal 0, part.refresh.stock
    assert_equal [1, -1], Models::StockMove.where(part_id: part.id).order(:id).select_map(:pieces)
    Services::TeachFit.fits(@job.number, @item.id, by: technician, at: NOW)
    offered = answer.candidates.find { |candidate| candidate.part.id == part.id }

    assert_equal :tried, offered.reasons.first.key
    refute @item.refresh.untried
  end

  # What lies in the shop already is not waited for.
  def test_a_free_line_is_promised_by_the_days_it_takes
    waits = [0, 3, nil].map do |days|
      part = free_line(lead_days: days, supplier: nil)
      Services::Promises.ask_of(@item.refresh, @job.sheet, reserved: Hash.new(0),
        policies: Services::Policies.now)
        .then { |ask| [part.refresh.lead_days, ask.lead_days] }
    end

    assert_equal [[0, 0], [3, 3], [nil, 7]], waits
  end

  def test_what_did_not_fit_is_a_look_alike_with_the_reason_and_is_not_chosen_again
    part = free_line
    work
    Services::TeachFit.misfits(@job.number, @item.id, reason: "too thick by 1 mm", by: technician, at: NOW)

    assert_equal ["to_do", nil, false], @item.refresh.values.values_at(:state, :part_id, :untried)
    assert_equal 1, part.refresh.stock
    near = answer.near_misses.find { |miss| miss.part.id == part.id }

    assert_equal "too thick by 1 mm", near.reasons.first.figures[:why]
    error = assert_raises(Services::Refused) { choose(@job, part) }
    assert_match(/tried here, and it did not fit: too thick by 1 mm/, error.message)
  end

  def test_whoever_finds_later_that_it_fits_is_believed
    part = free_line
    work
    Services::TeachFit.misfits(@job.number, @item.id, reason: "too thick", by: technician, at: NOW)
    Services::KeepFit.add(part, @job.sheet, @job.sheet.position(PLACE), said: { said_by: "maker" }, by: technician,
      at: NOW + 60)

    assert_includes answer.candidates.map { |candidate| candidate.part.id }, part.id
  end

  def test_nothing_is_taught_before_it_is_fitted_nor_twice_nor_of_a_listed_part
    free_line
    assert_raises(Services::Refused) { teach }
    work
    teach
    assert_raises(Services::Refused) { teach }
    assert_raises(Services::Invalid) do
      Services::TeachFit.misfits(@job.number, @item.id, reason: " ", by: technician, at: NOW)
    end
  end

  def test_a_number_that_is_on_file_is_said_and_nothing_is_chosen
    number = Models::Part.first.number
    before = @item.part_id
    assert_raises(Services::Invalid) { free_line(number: number) }

    assert_equal before, @item.refresh.part_id
  end

  def test_one_off_the_shelf_that_nobody_lists_is_taken_from_there
    other = Models::Part.first(kind: "belt")
    choose(@job, other)

    assert @item.refresh.untried
    assert_raises(Services::NotFound) do
      Services::ChoosePart.call(@job.number, @item.id, choice: "other-999999999", by: technician, at: NOW)
    end
    choose(@job, part_listed)

    refute @item.refresh.untried
  end

  private

  def part_listed
    answer.candidates.first.part
  end

  def teach
    Services::TeachFit.fits(@job.number, @item.id, by: technician, at: NOW)
  end

  def answer
    Services::FitFor.new(@job.sheet, @job.machine, today: today, job: @job).call([PLACE]).fetch(PLACE)
  end
end
