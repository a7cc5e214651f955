# frozen_string_literal: true

# Group: slow (a simulation)

require_relative "../core_helper"

# Machines whose true use is known: does the day on which fifty hours are used up lie between the bounds in eight of ten
# cases, whatever was said, however often a strip was read, and whether one was full?
#
# The world of its own: what is said comes first; the truth scatters about it (log-normal, 0.35); hours come in spells
# of one at random (Poisson); a strip is read to a tenth and stops at full; the customer comes about when it is due.
class UseBeliefTest < CoreTest
  MACHINES = Integer(ENV.fetch("MACHINES", "500")) # of each figure; `bin/rake simulations` takes 2,000
  SAID = [0.5, 1, 2, 5].freeze
  SCATTER = 0.35
  READ_OFF = 0.1
  HOURS = 50
  JOBS = 5
  START = Date.new(2020, 1, 6)
  SEED = 2611
  FEWEST = 400 # in a cell, or nothing is said of it
  CASSETTE = Clocks::Task.new(key: "replace", action: :replace, clocks: [Clocks::Clock.of(kind: :hours, limit: HOURS)])

  Case = Struct.new(:said, :readings, :full, :outcome)

  def setup
    @random = Random.new(SEED)
  end

  def test_eight_of_ten_and_a_tenth_missed_on_each_side
    cases = SAID.flat_map { |said| Array.new(MACHINES) { life(said, said * Math.exp(SCATTER * normal)) } }.flatten
    cells = cases.group_by { |one| [one.said, [one.readings, 3].min, one.full] }
      .select { |_, rows| rows.size >= FEWEST }
    tell(cells, cases)

    assert_in_delta 0.8, share(cases, :held), 0.02
    cells.each do |cell, rows|
      within = 0.04 + (2 * Math.sqrt(0.16 / rows.size)) # and what a sample of this size may be off

      assert_in_delta 0.8, share(rows, :held), within, cell.inspect
      assert_in_delta 0.1, share(rows, :sooner), within, cell.inspect
      assert_in_delta 0.1, share(rows, :later), within, cell.inspect
    end
  end

  # Where customers were wrong by half as much again, the strips put it right.
  def test_readings_put_right_what_was_said_wrongly
    cases = SAID.flat_map { |said| Array.new(MACHINES / 2) { life(said, said * 1.5) } }.flatten
      .group_by { |one| [one.readings, 3].min }

    assert_operator share(cases.fetch(0), :held), :>=, 0.6
    assert_operator share(cases.fetch(2) + cases.fetch(3), :held), :>=, 0.74
  end

  private

  # @return [Array<Case>] at the first fitting, and after each job
  def life(said, rate)
    evidence = []
    on = START
    (0..JOBS).map do |job|
      due = due(said, evidence, on)
      gaps = Array.new(HOURS) { -Math.log(1 - @random.rand) / rate }
      events = gaps.inject([]) { |at, gap| at << (at.last.to_f + gap) }
      seen = Case.new(said, job, evidence.any?(&:at_least), outcome(due, on + (events.last * 7).floor))
      on = read(evidence, events, on, due)
      seen
    end
  end

  def due(said, evidence, on)
    use = Use::Rate.from(stated_hours_per_week: said, evidence: evidence, today: on)
    Clocks::DueDate.new(task: CASSETTE, progress: Clocks::Progress.new(started_on: on),
      conditions: Clocks::Conditions.new(use: use, household: Use::Household.new, today: on)).call
  end

  def outcome(due, ends)
    return :sooner if ends < due.early_on

    ends > due.late_on ? :later : :held
  end

  # @return [Date] of the job
  def read(evidence, events, on, due)
    weeks = ((due.due_on - on).to_i / 7.0 * (0.7 + (0.6 * @random.rand))).clamp(4, 104).round
    used = events.count { |at| at <= weeks }
    hours = used == HOURS ? HOURS : (used * (1 + (READ_OFF * normal))).clamp(0, HOURS) # a full strip is seen to be full
    evidence << Use::Evidence.new(kind: :strip, hours: hours, weeks: weeks, read_on: on + (weeks * 7),
      at_least: hours == HOURS)
    on + (weeks * 7)
  end

  def share(cases, outcome)
    cases.count { |one| one.outcome == outcome } / cases.size.to_f
  end

  def tell(cells, cases)
    return unless ENV["MACHINES"]

    puts "said h/week, readings, one full: held, sooner than the bounds, later (of so many)"
    [*cells.sort_by { |cell, _| cell.map(&:to_s) }, [["all"], cases]].each do |cell, rows|
      puts format("%<cell>-20s %<held>5.1f %<sooner>5.1f %<later>5.1f  %<size>d", cell: cell.join(", "),
        held: share(rows, :held) * 100, sooner: share(rows, :sooner) * 100, later: share(rows, :later) * 100,
        size: rows.size)
    end
  end

  # Box and Muller's way to draw from a normal distribution.
  def normal
    Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)
  end
end
