# frozen_string_literal: true

require_relative "../test_helper"

class PromisesTest < DatabaseTest
  # A Monday at nine, well inside the open hours.
  def monday
    @monday ||= Config::Zone.at(today + ((8 - today.wday) % 7) + 7, 9)
  end

  def job(findings)
    take_in(at: monday).tap do |one|
      findings.each { |position, observed| record(one, position, observed, at: monday) }
      Services::FinishLookOver.call(one.number, by: technician, at: monday)
    end.refresh
  end

  # 9:00 + 4 + 5 min for the roll, 15 to refit, 120 spare = 11:24, up to the quarter.
  def test_without_a_wash_it_is_ready_the_same_day
    one = job({ "roll" => { turns: "stuck" } })

    assert_equal monday + (2.5 * 3600), one.promise_at
    assert_match(/9 min of work/, one.promise_reason)
  end

  # 24 h for the pre-motor filter: dry on Tuesday at 9:10, then 135 open minutes.
  def test_a_wash_makes_it_the_day_after
    assert_equal monday + (26.5 * 3600), job({ "pre-filter" => { grey: 5 } }).promise_at
  end

  def test_the_longest_drying_counts
    one = job({ "pre-filter" => { grey: 5 }, "post-filter" => { grey: 5 } })

    assert_match(/36 h of drying/, one.promise_reason)
  end

  def test_the_spare_brings_it_forward_and_washing_after_all_puts_it_back
    one = job({ "pre-filter" => { grey: 5 } })
    later = one.promise_at
    Services::ChoosePart.call(one.number, item(one, "pre-filter").id, choice: part("HD-2010").id.to_s, by: technician,
      at: monday)

    assert_operator one.refresh.promise_at, :<, later
    Services::ChoosePart.call(one.number, item(one, "pre-filter").id, choice: "wash", by: technician, at: monday)

    assert_equal later, one.refresh.promise_at
  end

  def test_spare_time_is_the_shops_to_choose
    Services::SavePolicies.call({ "promise_buffer_minutes" => 0 }, by: owner, at: NOW)

    assert_equal monday + (0.5 * 3600), job({ "roll" => { turns: "stuck" } }).promise_at
  end
end
