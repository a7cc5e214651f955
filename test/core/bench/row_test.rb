# frozen_string_literal: true

require_relative "../../core_helper"

class BenchRowTest < CoreTest
  NOW = Time.utc(2026, 3, 2, 9)

  def late(ready_at, promise_at)
    Bench::Row.new(number: 1, stretches: [], ready_at: ready_at, promise_at: promise_at).late_minutes
  end

  def test_late_from_the_first_minute
    assert_equal [0, 0, 1, 90], [-60, 0, 1, 5400].map { |seconds| late(NOW + seconds, NOW) }
  end

  def test_what_was_not_promised_or_is_never_ready_is_not_late
    assert_equal [0, 0], [late(NOW, nil), late(nil, NOW)]
  end
end
