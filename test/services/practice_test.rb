# frozen_string_literal: true

require_relative "../test_helper"

# Rounds of practice: one's own, the same answers each time, and nothing of them in the shop's records.
class PracticeTest < DatabaseTest
  def round(**more)
    @round ||= Services::Practice.begin(Models::Sheet.first(model_name: "Dart M").id, "no_suction", faults: 1,
      by: technician, at: NOW, seed: 7, **more)
  end

  def check(key, unplugged: true)
    Services::Practice.check(round.id, key, unplugged: unplugged, by: technician, at: NOW)
  end

  def test_every_check_answers_and_the_fault_is_found_where_it_is
    before = [Models::Finding.count, Models::Event.count, Models::Job.count]
    place = round.hidden.first.split(":").first
    looks = round.search.checks.select { |one| one.key == one.place }
    answers = looks.to_h do |one|
      check(one.key)
      [one.place, round.checks_dataset.first(check_key: one.key).result]
    end

    assert_equal [place], answers.select { |_, result| result == "found" }.keys & [place]
    assert_equal 1, answers.values.count("found"), "a look shows nothing that is not there"
    check(looks.first.key)

    assert_equal answers.size, round.checks_dataset.count, "checked once"
    ended = Services::Practice.name(round.id, round.hidden.first, remedy: "wash", by: technician, at: NOW)

    assert_operator ended.minutes, :>=, ended.hindsight_minutes
    assert_operator ended.best_minutes, :>, 0
    assert_raises(Services::Refused) { check("neck") }
    assert_equal before, [Models::Finding.count, Models::Event.count, Models::Job.count]
  end

  # What obstructs shows in the flow and not in the suction; where it is not, everything is as it should be.
  def test_the_gauge_reads_the_hidden_fault
    read = lambda { |point, kind|
      Services::Practice.read(round.id, point: point, kind: kind, by: technician, at: NOW)
      round.readings_dataset.first(point: point, kind: kind).value
    }
    blocked = round.search.causes.find { |cause| cause.key == "wand:blocked" }
    round.update(hidden: Sequel.pg_array([blocked.key], :text))
    machine = Core::Suction::Expected.of(round.sheet)

    assert_in_delta machine.sealed("head"), read.call("head", "sealed"), 0.4
    assert_operator read.call("head", "flow"), :<, 0.5 * machine.flow("head")
    assert_in_delta machine.flow("bin"), read.call("bin", "flow"), 0.5
    assert_equal read.call("bin", "flow"), read.call("bin", "flow"), "once, and the same"
    assert_in_delta 2.0 + 2.0 + 2.5, round.refresh.reading_minutes
    assert_raises(Services::NotFound) { read.call("moon", "flow") }
    assert_raises(Services::NotFound) { read.call("bin", "plate") }
    ended = Services::Practice.name(round.id, blocked.key, remedy: "clean", by: technician, at: NOW)

    assert_in_delta 6.5, ended.minutes
    assert_raises(Services::Refused) { read.call("wand", "flow") }
  end

  def test_somebody_elses_is_none
    assert_raises(Services::NotFound) { Services::Practice.own(round.id, owner) }
    assert_raises(Services::NotFound) { Services::Practice.name(round.id, "neck:blocked", remedy: "wash", by: owner, at: NOW) }
    assert_raises(Services::NotFound) { check("no-such") }
    assert_raises(Services::NotFound) do
      Services::Practice.name(round.id, round.hidden.first, remedy: "kick", by: technician, at: NOW)
    end
    assert_raises(Services::NotFound) do
      Services::Practice.name(round.id, "moon:gone", remedy: "wash", by: technician, at: NOW)
    end
    assert_raises(Services::NotFound) do
      Services::Practice.begin(Models::Sheet.first.id, "hunger", faults: 1, by: technician, at: NOW)
    end
  end

  # By the table's weights: over many rounds each fault comes as often as it should, within four standard errors.
  def test_faults_are_drawn_by_their_weights
    sheet = Models::Sheet.first(model_name: "Dart M")
    drawn = Array.new(400) do |seed|
      Services::Practice.begin(sheet.id, "pulses", faults: 1, by: technician, at: NOW, seed: seed).hidden.first
    end
    weight = round.sheet.then do
      Core::Faults::PlanSearch.new(sheet.to_core, :pulses).call
    end.cause_of("pre-filter:full").weight
    share = drawn.count("pre-filter:full") / 400.0

    assert_in_delta weight / 0.95, share, 4 * Math.sqrt(weight * (1 - weight) / 400)
  end

  def test_two_faults
    two = Services::Practice.begin(Models::Sheet.first.id, "weak_everywhere", faults: 9, by: technician, at: NOW,
      seed: 3)

    assert_operator two.hidden.size, :<=, 2
    assert_equal two.hidden.uniq, two.hidden.to_a
  end
end
