# frozen_string_literal: true

require_relative "../test_helper"

# The machine opened and closed: counted out, counted in, and what happens when it does not come out even.
class StripTest < DatabaseTest
  HOUSING = "housing"

  def setup
    super
    @job = settled({ "cyclone-gasket" => { state: "dirty" } })
  end

  def open_step(step, **more)
    Services::OpenStep.call(@job.number, step, by: technician, at: NOW, **more)
  end

  def close_step(step, **more)
    Services::CloseStep.call(@job.number, step, by: technician, at: NOW + 60, **more)
  end

  def tools_back(**more)
    Services::ToolsBack.call(@job.number, by: technician, at: NOW + 120, **more)
  end

  def close_up
    Demo::Prove.call(@job.refresh, by: technician, at: NOW + 150)
    Services::CloseUp.call(@job.number, by: technician, at: NOW + 180)
  end

  def settle_difference(difference, **more)
    Services::SettleDifference.call(@job.number, difference.id, by: owner, at: NOW + 90, **more)
  end

  def standing
    Models::TrayDifference.standing.where(job_id: @job.id).all
  end

  def refused(words, &)
    assert_match words, assert_raises(Services::Refused, &).message
  end

  def test_a_strip_down_counted_out_and_in
    assert_equal %w[clip-ring housing], Services::TrayOfJob.call(@job).followed.map(&:key)
    open_step("clip-ring")
    open_step(HOUSING)
    do_all(@job)

    assert_equal 2, Models::OpenedStep.standing.where(job_id: @job.id).count, "what was open is not opened again"
    close_step(HOUSING)
    close_step("clip-ring")
    tools_back
    close_up

    assert_equal "closed_up", @job.refresh.state
    assert_empty Models::TrayDifference.where(job_id: @job.id)
  end

  def test_what_comes_before_is_opened_before_and_closed_after
    refused(/First: pry the clip ring off/) { open_step(HOUSING) }
    open_step("clip-ring")
    open_step(HOUSING)
    refused(/Close first: undo the cyclone housing/) { close_step("clip-ring") }
    refused(/not open/) { close_step("battery-out") }
    assert_raises(Services::NotFound) { open_step("attic") }
    assert_raises(Services::NotFound) { close_step("attic") }
  end

  def test_twice_is_once
    assert_equal open_step("clip-ring").id, open_step("clip-ring").id
    assert_equal close_step("clip-ring").id, close_step("clip-ring").id
    refute_equal open_step("clip-ring").id, close_step("clip-ring").id - 1
    assert_equal 2, Models::OpenedStep.where(job_id: @job.id).count, "closed and opened again"
  end

  # Nobody said so, but the gasket cannot be reached otherwise: the sheet says what lies on the tray.
  def test_work_behind_a_step_opens_it
    do_all(@job)
    rows = Models::OpenedStep.where(job_id: @job.id).order(:id).all

    assert_equal [["clip-ring", false], [HOUSING, false]], rows.map { |row| [row.step, row.counted_out] }
    refused(/Still open after “pry the clip ring off”, “undo the cyclone housing”\. Count it back in\./) { close_up }
  end

  def test_a_missing_screw_stops_the_close_up_until_it_is_found
    open_step("clip-ring")
    open_step(HOUSING)
    do_all(@job)
    close_step(HOUSING, counts: { "fastener-0" => 6 })
    close_step("clip-ring")
    tools_back

    assert_equal [["T8, 8 mm", 7, 6]], standing.map { |one| [one.words, one.expected, one.counted] }
    refused(/T8, 8 mm: 6 of 7: find it, or write why it goes like this\./) { close_up }
    settle_difference(standing.first, found: true)
    close_up

    assert_equal [nil, owner.id], Models::TrayDifference.first(job_id: @job.id).then { |one|
      [one.explanation, one.settled_by]
    }
  end

  # One that was gone when the machine came is not looked for again, once somebody said so.
  def test_what_was_missing_before_is_explained_by_name
    open_step("clip-ring")
    open_step(HOUSING, counts: { "fastener-1" => 3 })
    settle_difference(standing.first, explanation: "Came without it: an earlier repair.")
    do_all(@job)
    close_step(HOUSING)
    close_step("clip-ring")
    tools_back
    close_up

    assert_empty standing
    assert_equal "explained", Models::Event.where(job_id: @job.id, subject: "tray_differences").get(:verb)
  end

  # Not explained, it is still expected when all goes back.
  def test_one_too_few_out_is_looked_for_on_the_way_back
    open_step("clip-ring")
    open_step(HOUSING, counts: { "fastener-1" => 3 })
    do_all(@job)
    close_step(HOUSING, counts: { "fastener-1" => 3 })

    assert_equal [[4, 3], [4, 3]], standing.map { |one| [one.expected, one.counted] }
  end

  def test_a_gasket_that_lifted_and_one_screw_too_many
    open_step("clip-ring")
    open_step(HOUSING)
    close_step(HOUSING, counts: { "part-0" => 0, "fastener-0" => 8 })

    assert_equal [["T8, 8 mm", 7, 8], ["cyclone gasket", 1, 0]],
      standing.map { |one| [one.words, one.expected, one.counted] }
  end

  def test_tools_are_counted_and_counted_again_when_it_is_opened_again
    do_all(@job)
    refused(/Close what is open first/) { tools_back }
    close_step(HOUSING)
    close_step("clip-ring")
    refused(/Count the tools: plastic wedge, T8, T10, magnetic bit/) { close_up }
    tools_back(missing: "magnetic bit")
    refused(/magnetic bit is not back on its hook/) { close_up }
    settle_difference(standing.first, explanation: "Left in the van.")
    open_step("battery-out")
    close_step("battery-out")
    refused(/Count the tools/) { close_up }
    tools_back
    close_up
  end

  def test_numbers_that_are_none
    open_step("clip-ring")
    [-1, 1001, "3", 1.5].each do |wrong|
      assert_raises(Services::Invalid, wrong.inspect) { open_step(HOUSING, counts: { "fastener-0" => wrong }) }
      assert_nil Models::OpenedStep.first(job_id: @job.id, step: HOUSING) unless Models::OpenedStep.empty?
    end
    open_step(HOUSING, counts: { "attic" => 3 })

    assert_empty standing
  end

  def test_a_difference_is_settled_once_and_with_words
    open_step("clip-ring", counts: { "fastener-0" => 0 })
    one = standing.first

    assert_raises(Services::Invalid) { settle_difference(one) }
    assert_raises(Services::Invalid) { settle_difference(one, explanation: "  ") }
    settle_difference(one, found: true)
    settle_difference(one, explanation: "Never mind")

    assert_nil one.refresh.explanation
    assert_raises(Services::NotFound) do
      Services::SettleDifference.call(take_in(new_machine).number, one.id, found: true, by: owner, at: NOW)
    end
  end

  # The maker's warranty hangs on it: somebody has to have agreed by name.
  def test_beyond_the_handbook_in_warranty
    job = take_in(new_machine(bought_on: today - 30))
    opening = ->(step) { Services::OpenStep.call(job.number, step, by: technician, at: NOW) }

    refused(/beyond the owner's handbook/) { opening["clip-ring"] }

    assert opening["battery-out"]
  end

  def test_not_while_a_stop_stands_and_not_when_it_is_over
    record(@job, "battery", { state: "swollen" })
    refused(/Stop:/) { open_step("clip-ring") }
    over = take_in(new_machine)
    Services::EndEarly.call(over.number, how: "declined", by: technician, at: NOW)
    refused(/nothing is opened any more/) { Services::OpenStep.call(over.number, "battery-out", by: technician, at: NOW) }
  end

  def test_nothing_open_goes_back_unmended
    open_step("clip-ring")
    refused(/Still open/) { Services::EndEarly.call(@job.number, how: "referred", by: technician, at: NOW) }
  end

  # Water stays in the tips of the cones: their way in stays open until they are dry.
  def test_what_is_wet_keeps_its_way_in_open
    job = take_in
    record(job, "cones", { state: "packed" }, verdict: :wash)
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    Services::Settle.call(job.number, agreed_name: "Wendel", agreed_how: "phone", warranty_name: "Wendel",
      by: technician, at: NOW)
    do_all(job)
    shut = ->(at) { Services::CloseStep.call(job.number, HOUSING, by: technician, at: at) }

    refused(/Cones: still wet on the rack/) { shut[NOW + 3600] }
    shut[NOW + (60 * 3600)]

    assert_nil item(job, "cones").on_rack
  end

  def test_the_database_keeps_one_open_and_whole_rows
    row = open_step("clip-ring").values.except(:id)
    { opened_steps_once: row, opened_steps_closed: { **row, step: HOUSING, closed_at: NOW },
      opened_steps_in_order: { **row, step: HOUSING, closed_at: NOW - 1, closed_by: technician.id } }
      .each do |name, wrong|
      error = assert_raises(Sequel::ConstraintViolation) do
        DB.transaction(savepoint: true) { DB[:opened_steps].insert(wrong) }
      end

      assert_equal name.to_s, DB.error_info(error)[:constraint]
    end
  end

  def test_the_newest_sheet_must_know_what_is_open
    open_step("clip-ring")
    content = Core::Sheets::Edit.new(@job.machine.sheet.current_version.data).take_out("steps", "clip-ring")
    Services::AddSheet.call(content, by: owner, at: NOW, sheet: @job.machine.sheet)

    refused(/no such step as is open here/) { Services::AdoptSheet.call(@job.number, by: technician, at: NOW) }
  end

  def test_pictures_stand_at_their_step
    path = File.join(TestDatabase::ROOT, "docs/screenshots").then { |folder| Dir["#{folder}/*.png"].min }
    made = Services::AddPictures.prepare([{ filename: "a.png", tempfile: File.open(path) }])
    Services::AddPictures.call(@job.number, made, step: HOUSING, by: technician, at: NOW)
    page = Queries::StripPage.new(@job.refresh, now: NOW)

    assert_equal [0, 1], page.lanes.map { |lane| lane.pictures.size }
  end
end
