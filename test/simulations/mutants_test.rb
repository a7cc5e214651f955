# frozen_string_literal: true

# Group: slow (a simulation)

require_relative "../test_helper"
require_relative "../../measure/mutants"

# That small changes to the core are noticed where its tests run alone, in a copy of all that they need.
class MutantsTest < AppTest
  def test_a_change_is_noticed_and_nothing_else_fails_in_the_copy
    out = StringIO.new
    share = Measure::Mutants.new(count: 1, seed: 3, only: "core/stats/wilson", out: out).call

    assert_in_delta 1.0, share, 0.001, out.string
  end
end
