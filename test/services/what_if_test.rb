# frozen_string_literal: true

require_relative "../test_helper"

# Dates as they would be with another use; nothing is kept.
class WhatIfTest < DatabaseTest
  def setup
    @machine = new_machine("Brackwater Loft K")
    @machine.update(hours_per_week: 1)
    Services::SetClocks.call(@machine, done: { "exhaust-filter" => %i[replace] }, on: today)
  end

  def due_of(dues)
    dues.find { |due| due.position == "exhaust-filter" && due.action == "replace" }.due_on
  end

  def kept
    Models::Due.running.where(machine_id: @machine.id).order(:id).map(&:values)
  end

  def test_ten_times_the_use_is_a_tenth_of_the_time
    before = kept
    answer = Services::WhatIf.call(@machine, hours_per_week: 10, traits: [], on: today)
    dues = answer.dues

    assert_equal [today + 330, today + 33], [
      due_of(Models::Due.running.where(machine_id: @machine.id).all), due_of(dues)
    ]
    assert_equal before, kept
    assert_in_delta 10.6, answer.use.mean
    assert_equal [1, false], [@machine.refresh.hours_per_week.to_i, @machine.modified?]
  end

  def test_as_it_is_moves_nothing
    same = Services::WhatIf.call(@machine, hours_per_week: 1, traits: @machine.traits.to_a, on: today).dues

    assert_equal kept.to_h { |due| [due.values_at(:position, :task), due[:due_on]] },
      same.to_h { |due| [[due.position, due.task], due.due_on] }
  end
end
