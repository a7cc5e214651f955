# frozen_string_literal: true

require_relative "../test_helper"

class DailyRoundTest < DatabaseTest
  def test_one_that_fails_leaves_the_others_alone
    done = []
    failing = ->(*) { raise "away" }
    Services::MoveParcel.stub(:fitted_by_now, ->(at:) { done << at }) do
      Services::RemindToFetch.stub(:call, failing) do
        Config::Report.stub(:error, ->(error, what:) { done << [error.message, what] }) do
          Services::DailyRound.call(at: NOW)
        end
      end
    end

    assert_equal [["away", "reminders to fetch"], NOW], done
  end
end
