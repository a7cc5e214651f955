# frozen_string_literal: true

require_relative "../../core_helper"

class JobAheadTest < CoreTest
  def waits_for(state, work_minutes: 10, **more)
    Bench::JobAhead.waits_for(state: state, work_minutes: work_minutes, stopped: false, dry: false, wet: false, **more)
  end

  def test_what_a_job_waits_for
    assert_equal :hands, waits_for("taken_in")
    assert_equal :customer, waits_for("looked_over")
    assert_equal :hands, waits_for("in_work")
    assert_equal :collection, waits_for("closed_up")
  end

  def test_of_which_nothing_is_known_nothing_is_asked
    ahead = Bench::JobAhead.new(number: 1)

    assert_equal [0, 0, 0, nil, nil, false], [ahead.before_minutes, ahead.wait_hours, ahead.after_minutes,
                                              ahead.wait_until, ahead.promise_at, ahead.hold]
  end

  def test_what_dries_waits_unless_something_else_can_be_done
    assert_equal :drying, waits_for("waiting", work_minutes: 0, wet: true)
    assert_equal :hands, waits_for("waiting", work_minutes: 5, wet: true)
    assert_equal :hands, waits_for("waiting", work_minutes: 0, wet: true, dry: true)
  end

  def test_what_a_job_asks_of_the_hands
    ahead = ->(state, **more) { Bench::JobAhead.from(state: state, work_minutes: 30, stopped: false, number: 1, **more) }

    asked = %w[taken_in looked_over in_work closed_up].map do |state|
      [ahead.call(state).before_minutes, ahead.call(state).after_minutes, ahead.call(state).hold]
    end

    assert_equal [[20, 0, false], [30, 0, true], [30, 15, false], [30, 0, true]], asked
    assert Bench::JobAhead.from(state: "in_work", work_minutes: 30, stopped: true, number: 1).hold
  end

  def test_what_must_wait_goes_first_then_what_is_promised_soonest
    now = Time.utc(2026, 3, 2, 9)
    jobs = [{ number: 1 }, { number: 2, promise_at: now + 60 }, { number: 3, wait_hours: 24 },
            { number: 4, wait_hours: 36 }, { number: 5, promise_at: now },
            { number: 6, wait_hours: 1, promise_at: now + 900 }]

    assert_equal [4, 3, 6, 5, 2, 1], jobs.map { |job| Bench::JobAhead.new(**job) }.sort_by(&:order).map(&:number)
  end

  def test_a_stop_goes_before_everything_and_a_question_before_what_waits
    assert_equal :hands, waits_for("looked_over", asked: true)
    assert_equal :hands, waits_for("closed_up", asked: true)
    assert_equal :stop, waits_for("looked_over", asked: true, stopped: true)
  end
end
