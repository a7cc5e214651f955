# frozen_string_literal: true

require_relative "../test_helper"

# That a part fits is added, with who says so, and ended; a job may choose it from then on.
class KeepFitTest < DatabaseTest
  def setup
    @part = Services::KeepPart.call("ZZ-1", { name: "Seal, Trough", kind: "seal", price_cents: 990, pack_pieces: 1,
                                              pattern: false, discontinued: false }, measures: {}, by: owner, at: NOW)
    @sheet = sheet("Hallmoor Dart M").to_core
    @place = @sheet.position("bin-seal")
  end

  def add(by: technician, **more)
    said = { said_by: "tried", note: "sits tight", **more.slice(:serial_from) }
    Services::KeepFit.add(@part, @sheet, @place, said: said, by: by, at: NOW, **more.except(:serial_from))
  end

  def fitting
    Services::FitFor.new(@sheet, today: today).call([@place.key]).fetch(@place.key).candidates
      .map { |candidate| candidate.part.number }
  end

  def test_a_new_part_is_chosen_for_a_job_once_it_is_said_to_fit
    refute_includes fitting, "ZZ-1"
    rule = add

    assert_includes fitting, "ZZ-1"
    assert_equal ["tried", "sits tight", technician.id], [rule.said_by, rule.note, rule.added_by]
    job = take_in(new_machine)
    record(job, "bin-seal", { state: "torn" })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    Services::ChoosePart.call(job.number, item(job, "bin-seal").id, choice: @part.id.to_s, by: technician, at: NOW)

    assert_equal @part.id, item(job, "bin-seal").part_id
  end

  def test_what_is_ended_is_kept_beside
    rule = add
    Services::KeepFit.end(rule, by: technician, at: NOW)

    refute_includes fitting, "ZZ-1"
    kept = DB[:ended_fits].first(part_id: @part.id)

    assert_equal ["Hallmoor Dart M", "sits tight"], kept[:rule].to_hash.values_at("model_title", "note")
    add

    assert_includes fitting, "ZZ-1"
  end

  def test_for_a_family_and_not_twice
    add(whole_family: true)
    other = sheet("Hallmoor Dart S").to_core
    found = Services::FitFor.new(other, today: today).call(["bin-seal"]).fetch("bin-seal").candidates

    assert_includes found.map { |candidate| candidate.part.number }, "ZZ-1"
    assert_raises(Services::Invalid) { add(whole_family: true) }
    add(serial_from: "M-5")
    assert_raises(Services::Forbidden) { add(by: Models::Person.first(role: "counter")) }
  end
end
