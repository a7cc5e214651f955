# frozen_string_literal: true

require_relative "../test_helper"

# The queries behind the intake: they read a scanned code, find the model that somebody typed, and list the machine's
# jobs.
class IntakeQueriesTest < DatabaseTest
  def scanned(text)
    Queries::Scanned.new(text, today: today).call
  end

  def found(text)
    Queries::FindSheets.call(text).map(&:title)
  end

  def test_tags_labels_parts_and_codes_each_stand_for_what_they_were_printed_on
    job = take_in
    card = write_card(job.customer)
    one = Models::Part.exclude(barcode: nil).first
    link = Outbox::Letters.link(card)
    slip = Outbox::JobLink.of(job)

    tags = ["J#{job.number}", "j#{job.number}", job.number.to_s]

    assert_equal([[:job, job.number]] * 3, tags.map { |text| scanned(text) })
    assert_equal [:machine, job.machine_id], scanned("m#{job.machine_id}")
    assert_equal [[:card, card.id]] * 2, [link, link.split("/").last].map { |text| scanned(text) }
    assert_equal [[:job, job.number]] * 2, [slip, slip.split("/").last].map { |text| scanned(text) }
    assert_equal [[:part, one.id]] * 3, [one.number, one.number.downcase, one.barcode].map { |text| scanned(text) }
  end

  # These codes are cut short, belong to another shop, or hold a number that nothing here has.
  def test_what_stands_for_nothing
    ["", "J", "J99", "M0", "J999999999999999999", "M9999999999999999999", "/c/#{'0' * 26}", "/j/#{'z' * 30}", "ab",
     "x" * 41, "%", "' OR 1=1"].each do |text|
      assert_nil scanned(text), text
    end
  end

  # A part may be numbered like a job: whoever scans a tag means the machine.
  def test_a_tag_comes_before_a_part_of_the_same_number
    job = take_in
    Models::Part.first.update(number: job.number.to_s)

    assert_equal [:job, job.number], scanned(job.number.to_s)
  end

  def test_a_model_by_parts_of_its_name_in_any_order
    assert_includes found("dart"), "Hallmoor Dart M"
    assert_equal found("hallmoor dart"), found("DART  hallmoor")
    assert_equal found("ostrel"), found("ostrel").grep(/Ostrel/), "other models are not like it"
    assert_equal Queries::FindSheets.exactly("hallmoor dart m"), sheet("Hallmoor Dart M").id
    assert_nil Queries::FindSheets.exactly("hallmoor dart")
  end

  # The search forgives small mistakes, and takes the database's wildcards as plain letters.
  def test_a_model_that_was_written_wrongly
    assert_equal "Hallmoor Dart M", found("halmor dart m").first
    assert_empty found("d"), "one letter is too few"
    ["%%", "__", "\\\\", "\u0000\u0000", "zzzzqqqq", nil, {}].each { |text| assert_empty found(text), text.inspect }
    assert_operator found("a" * 500).size, :<=, Queries::FindSheets::MOST
  end

  def test_the_job_a_machine_is_in_and_what_was_done_before_the_newest_first
    machine = new_machine
    jobs = Array.new(Queries::JobsOfMachine::MOST + 1) { |n| hand_over_one(machine, n) }
    past = Queries::JobsOfMachine.new(machine)

    assert_nil past.open
    assert_equal jobs.reverse.first(Queries::JobsOfMachine::MOST).map(&:id), past.past.map { |one| one.job.id }
    assert_equal [[["pre-motor filter", "replace"]], ["post-motor filter"]], past.past.first.to_a.last(2)
    again = take_in(machine)

    assert_equal again.id, Queries::JobsOfMachine.new(machine).open.id
    assert_equal jobs.reverse.first(Queries::JobsOfMachine::MOST).map(&:id),
      Queries::JobsOfMachine.new(machine).past.map { |one| one.job.id }, "the open one is no past one"
    assert_empty Queries::JobsOfMachine.new(new_machine).past
  end

  def hand_over_one(machine, after)
    job = take_in(machine)
    job.update(state: "handed_over", handed_over_at: NOW + after)
    { "pre-filter" => "done", "post-filter" => "left" }.each_with_index do |(place, state), n|
      Models::WorkItem.create(job_id: job.id, position: place, action: "replace", state: state, sequence: n + 1,
        minutes: 5, reason: "worn", done_at: NOW, done_by: owner.id)
    end
    job
  end

  def test_machines_that_were_sold_are_not_taken_in_with_the_others
    machine = new_machine
    others = %w[stored sold scrapped].to_h do |state|
      one = Services::AddMachine.call(machine.customer, sheet_id: machine.sheet_id, by: owner, at: NOW)
      one.update(state: state)
      [state, one.id]
    end

    assert_equal [machine.id, others["stored"]], Queries::FleetMachines.call(machine.customer).map(&:id)
    assert_empty Queries::FleetMachines.on_bench(machine.customer)
    job = take_in(machine)

    assert_equal({ machine.id => job.number }, Queries::FleetMachines.on_bench(machine.customer))
    job.update(state: "handed_over", handed_over_at: NOW)

    assert_empty Queries::FleetMachines.on_bench(machine.customer)
  end
end
