# frozen_string_literal: true

require_relative "../test_helper"

class CountersTest < DatabaseTest
  def test_they_count_and_forget
    counters = Web::Counters.new

    assert_equal [1, 2], Array.new(2) { counters.increment("a", expires_in: 60) }
    counters.write("a", 7, expires_in: -1)

    assert_nil counters.read("a")
    assert_equal 1, counters.increment("a", expires_in: 60)
    counters.delete("a")

    assert_nil counters.read("a")
  end
end
