# frozen_string_literal: true

require_relative "../../core_helper"

class WaitsForTest < CoreTest
  def waits_for(state, work_minutes: 10, **more)
    Bench::WaitsFor.of(state: state, work_minutes: work_minutes, stopped: false, dry: false, wet: false, **more)
  end

  def test_what_a_job_waits_for
    assert_equal :hands, waits_for("taken_in")
    assert_equal :customer, waits_for("looked_over")
    assert_equal :hands, waits_for("in_work")
    assert_equal :collection, waits_for("closed_up")
  end

  def test_what_dries_waits_unless_something_else_can_be_done
    assert_equal :drying, waits_for("waiting", work_minutes: 0, wet: true)
    assert_equal :hands, waits_for("waiting", work_minutes: 5, wet: true)
    assert_equal :hands, waits_for("waiting", work_minutes: 0, wet: true, dry: true)
  end

  def test_a_stop_goes_before_everything_and_a_question_before_what_waits
    assert_equal :hands, waits_for("looked_over", asked: true)
    assert_equal :hands, waits_for("closed_up", asked: true)
    assert_equal :stop, waits_for("looked_over", asked: true, stopped: true)
  end
end
