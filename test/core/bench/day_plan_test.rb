# frozen_string_literal: true

require_relative "../work/promise_test"

class DayPlanTest < CoreTest
  NINE = Time.utc(2026, 3, 2, 9)

  def plan(*jobs, hands: 1)
    ahead = jobs.each_with_index.map { |job, number| Bench::JobAhead.new(number: number + 1, **job) }
    Bench::DayPlan.new(jobs: ahead, hours: PromiseTest::Hours.new, now: NINE, hands: hands).call
  end

  def test_what_starts_a_drying_clock_goes_first_longest_wait_first
    rows = plan({ before_minutes: 30 }, { before_minutes: 30, wait_hours: 24 }, { before_minutes: 30, wait_hours: 36 })

    assert_equal [3, 2, 1], rows.map(&:number)
  end

  def test_then_what_is_promised_soonest
    rows = plan({ before_minutes: 30, promise_at: NINE + 7200 }, { before_minutes: 30, promise_at: NINE + 3600 })

    assert_equal [2, 1], rows.map(&:number)
    assert_equal NINE + 3600, rows.last.ready_at
  end

  def test_two_pairs_of_hands_work_side_by_side
    rows = plan({ before_minutes: 30 }, { before_minutes: 30 }, hands: 2)

    assert_equal [NINE + 1800] * 2, rows.map(&:ready_at)
  end

  def test_hands_are_free_while_a_part_dries
    rows = plan({ before_minutes: 30, wait_hours: 2, after_minutes: 15 }, { before_minutes: 60 })

    assert_equal NINE + 1800, rows.last.stretches.first.from
    assert_equal %i[hands_on wait hands_on], rows.first.stretches.map(&:kind)
  end

  # What needs no wait is done at once, however long before it another job's wait began.
  def test_nothing_waits_for_the_drying_of_another_job
    rows = plan({ before_minutes: 30, wait_hours: 24, after_minutes: 15 }, { before_minutes: 20, after_minutes: 15 },
      { after_minutes: 15, promise_at: NINE + 3600 })

    assert_equal [1, 3, 2], rows.map(&:number)
    assert_equal [(24 * 60) + 45, 45, 80], rows.map { |row| (row.ready_at - NINE) / 60 }.map(&:round)
  end

  def test_lateness_shows_before_it_happens
    assert_equal 30, plan({ before_minutes: 60, promise_at: NINE + 1800 }).first.late_minutes
    assert_equal 0, plan({ before_minutes: 60, promise_at: NINE + 3600 }).first.late_minutes
  end

  def test_a_held_job_takes_no_hands
    held, free = plan({ before_minutes: 60, hold: true }, { before_minutes: 30 })

    assert_empty held.stretches
    assert_equal NINE, free.stretches.first.from
  end

  # No pair of hands does two things at once.
  def test_hands_never_overlap
    for_all(times: 60) do |random|
      hands = random.rand(1..3)
      jobs = Array.new(random.rand(1..8)) do
        { before_minutes: random.rand(5..90),
          wait_hours: random.rand < 0.4 ? random.rand(1..30) : 0, after_minutes: 15 }
      end
      stretches = plan(*jobs, hands: hands).flat_map(&:stretches).select { |one| one.kind == :hands_on }
      most = stretches.map do |stretch|
        stretches.count { |other| other.from <= stretch.from && stretch.from < other.to }
      end.max

      assert_operator most, :<=, hands
    end
  end
end
