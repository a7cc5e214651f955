# frozen_string_literal: true

require "json"
require_relative "../core_helper"

class ReasonTest < CoreTest
  def stored(reason)
    Reason.stored(JSON.parse(JSON.generate(reason.to_stored)))
  end

  def test_a_reason_comes_back_as_it_was_kept
    inner = Reason.of(:grey, grey: 3)
    reason = Reason.of(:own_verdict, name: "Ines", kind: "wash", rule: inner, from_on: MONDAY, parts: %w[a b])

    assert_equal reason, stored(reason)
    assert_equal MONDAY, stored(reason).figures[:from_on]
  end

  # A figure that happens to be a list or a text is no reason, whatever it says.
  def test_only_what_has_a_key_is_a_reason
    reason = Reason.of(:holds, table: { "pieces" => 3 }, words: "key")

    assert_equal({ "pieces" => 3 }, stored(reason).figures[:table])
    assert_equal "key", stored(reason).figures[:words]
  end

  def test_what_has_no_value_is_left_out
    assert_equal Reason.of(:grey, grey: 3), Reason.of(:grey, grey: 3, dial: nil)
  end
end
