# frozen_string_literal: true

require_relative "../../core_helper"

# A part that must come is waited for like a part that dries: the longer wait counts.
class PromiseLeadTest < CoreTest
  # Open around the clock, so that the sums can be done by hand.
  class Always
    def after(time, minutes)
      time + (minutes * 60)
    end

    def open_from(time)
      time
    end
  end

  NOW = Time.utc(2026, 3, 2, 9)

  def ready(**more)
    Work::Promise.new(hours: Always.new, now: NOW, hands_on_minutes: 30, buffer_minutes: 0, **more)
  end

  def test_three_days_and_a_quarter_hour_to_refit
    assert_equal NOW + (3 * 86_400) + (15 * 60), ready(lead_days: 3).call
    assert_equal 3, ready(lead_days: 3).reason.figures[:lead_days]
  end

  def test_the_longer_wait_counts
    assert_equal ready(wait_hours: 24).call, ready(wait_hours: 24, lead_days: 1).call,
      "the drying begins half an hour later"
    assert_equal ready(lead_days: 2).call, ready(wait_hours: 24, lead_days: 2).call
    refute_includes ready(wait_hours: 24).reason.figures, :lead_days
  end
end
