# frozen_string_literal: true

# Group: slow (a simulation)

require "nokogiri"
require_relative "../test_helper"
require_relative "../support/as_staff"
require_relative "../../demo/sight"

# Machines of every model in the demo come to the shop, with and without a known past, are looked over with findings as
# they come, and go home: nothing that was judged good, done or settled is overdue on the page that is handed over, and
# nobody hears of it within the quiet time. (VISITS=500 for all of it.)
class VisitsSimulation < DatabaseTest
  include AsStaff

  VISITS = Integer(ENV.fetch("VISITS", "40"))
  SEED = 2711

  def setup
    super
    sign_in
    always_open
    @random = Random.new(SEED)
    @sheets = Models::Sheet.order(:id).all
  end

  def test_nothing_settled_is_overdue_and_nobody_hears_within_the_quiet_time
    VISITS.times do |number|
      title = @sheets[number % @sheets.size].title
      machine = new_machine(title, bought_on: [nil, today - @random.rand(10..1500)].sample(random: @random))
      job = visit(machine)

      check_page(job, "visit #{number}, #{title}")
      check_cards(machine, "visit #{number}, #{title}")
    end
  end

  private

  def visit(machine)
    job = take_in(machine)
    look_over(job)
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    say_something(job)
    job.work_items_dataset.where(action: "replace", part_id: nil, state: "to_do")
      .each { |open| choose(job, open, "leave") }
    Services::Settle.call(job.number, agreed_name: "Wendel", agreed_how: "phone", warranty_name: "Wendel",
      by: technician, at: NOW)
    do_all(job)
    close_job(job, wet_reason: "trial")
    job.refresh
  end

  # Most places are looked at, some are left out.
  def look_over(job)
    places = job.sheet.walk.reject { |place| %i[battery lead motor contacts carbon].include?(place.kind) }
    places.select { @random.rand < 0.85 }.each do |place|
      seen = Demo::Sight.new(place, @random).seen
      record(job, place.key, seen)
    end
    record(job, places.first.key, Core::Findings.fine(places.first)) if Models::Finding.where(job_id: job.id).empty?
  end

  # Of what is due some is done, some is still good, some is not spoken of.
  def say_something(job)
    Services::DuesAtJob.call(job, at: NOW).each do |row|
      choice = row.choices.sample(random: @random)
      next unless choice && @random.rand < 0.6

      Services::SettleDue.call(job.number, row.place.key, row.task.key, choice: choice, by: technician, at: NOW)
    rescue Services::NotFound
      next # what was said before at this place settled it
    end
  end

  def choose(job, item, choice)
    Services::ChoosePart.call(job.number, item.id, choice: choice, by: technician, at: NOW)
  end

  # @return [Array<String>] places that are overdue on the page
  def check_page(job, which)
    get "/jobs/#{job.number}"
    overdue = Nokogiri::HTML(page).css("table.dues tr").select { |row| row.text.include?("overdue") }
      .map { |row| row.at_css("th").text.strip }
    judged = settled_places(job)

    assert_empty overdue.select { |words| judged.any? { |name| words.end_with?(name) } }, which
  end

  # Judged good, done, or settled one way or another.
  def settled_places(job)
    good = Models::Finding.where(job_id: job.id, verdict: "leave").select_map(:position)
    done = job.work_items_dataset.where(state: "done").select_map(:position)
    said = Models::SettledDue.where(job_id: job.id).select_map(:position)
    (good | done | said).map { |key| job.sheet.position(key).name.downcase }
  end

  def check_cards(machine, which)
    Models::Job.where(machine_id: machine.id).update(state: "handed_over", handed_over_at: NOW)
    quiet = Services::Policies.now.cards.quiet_days
    [today, today + quiet - 1].each do |day|
      book = Services::DueBook.new(today: day, customer_ids: [machine.customer_id])

      assert_empty book.leaving, "#{which}, #{day}"
    end
  end
end
