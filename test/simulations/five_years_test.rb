# frozen_string_literal: true

# Group: slow (a simulation)

require_relative "../core_helper"

# Machines whose true use is known, over five years of jobs: does the day on which a cassette is used up
# lie between the bounds as often as they say, and does the shop learn?
#
# What is assumed of the world: households run their machines about an hour a week (common practice), few more than
# three, in spells of an hour that come at random; what they say is off by about a third; a strip is read to a tenth.
class FiveYearsTest < CoreTest
  MACHINES = Integer(ENV.fetch("MACHINES", "500")) # `bin/rake simulations` takes 2,000
  JOBS = 5
  HOURS = 50
  WEEKS = 52 * 14
  SAID_OFF = 0.35
  READ_OFF = 0.1
  START = Date.new(2020, 1, 6)
  SEED = 4610
  CASSETTE = Clocks::Task.new(key: "replace", action: :replace, clocks: [Clocks::Clock.of(kind: :hours, limit: HOURS)])

  Seen = Struct.new(:job, :held, :off)

  def setup
    @random = Random.new(SEED)
  end

  def test_eight_of_ten_days_lie_between_the_bounds_and_the_error_halves_by_the_third_job
    seen = Array.new(MACHINES) { life }.flatten.group_by(&:job)
    held = seen.transform_values { |rows| rows.count(&:held) / rows.size.to_f }
    off = seen.transform_values { |rows| rows.sum(&:off) / rows.size }

    held.each { |job, share| assert_includes 0.75..0.85, share, "after #{job} jobs" }
    assert_operator off.fetch(3), :<=, off.fetch(0) / 2, off.inspect
  end

  private

  # @return [Array<Seen>] at the first fitting, and after each job
  def life
    rate = Math.exp(0.6 * normal).clamp(0.3, 10)
    said = [(rate * Math.exp(SAID_OFF * normal) * 2).round / 2.0, 0.5].max
    used = Array.new(WEEKS) { spells(rate) }.inject([0]) { |sums, hours| sums << (sums.last + hours) }
    evidence = []
    fitted = 0
    (0..JOBS).map do |job|
      due = due(said, evidence, fitted)
      ends = START + used_up(used, fitted)
      seen = Seen.new(job, ends.between?(due.early_on, due.late_on),
        (due.due_on - ends).to_i.abs / (ends - START - (fitted * 7)).to_f)
      fitted = job_at(due, fitted, used, evidence)
      seen
    end
  end

  def due(said, evidence, fitted)
    on = START + (fitted * 7)
    use = Use::Rate.from(stated_hours_per_week: said, evidence: evidence, today: on)
    Clocks::DueDate.new(task: CASSETTE, progress: Clocks::Progress.new(started_on: on),
      conditions: Clocks::Conditions.new(use: use, household: Use::Household.new, today: on)).call
  end

  # The customer comes about when it is due, though not within eight weeks and at least every year and a half; the
  # strip is read.
  def job_at(due, fitted, used, evidence)
    weeks = (((due.due_on - START).to_i / 7) - fitted).clamp(8, 78)
    at = fitted + weeks
    evidence << Use::Evidence.new(kind: :strip, hours: (used[at] - used[fitted]) * Math.exp(READ_OFF * normal),
      weeks: weeks, read_on: START + (at * 7))
    at
  end

  # @return [Integer] days after the start, the hours of a week spread evenly over it
  def used_up(used, fitted)
    last = (fitted...WEEKS).find { |week| used[week + 1] - used[fitted] >= HOURS }
    whole = HOURS - (used[last] - used[fitted])
    ((last + (whole / (used[last + 1] - used[last]).to_f)) * 7).floor
  end

  # Knuth's way to draw from a Poisson distribution.
  def spells(rate)
    limit = Math.exp(-rate)
    count = 0
    product = @random.rand
    while product > limit
      count += 1
      product *= @random.rand
    end
    count
  end

  # Box and Muller's way to draw from a normal distribution.
  def normal
    Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)
  end
end
