# frozen_string_literal: true

require_relative "../../core_helper"

# Shops to plan in: open from minute 0 to 240 and from 270 to 540 of every day.
module PlanHelper
  include UprightBench::Core

  def open_days(count = 30)
    (0...count).flat_map { |day| [[day * 1440, (day * 1440) + 240], [(day * 1440) + 270, (day * 1440) + 540]] }
  end

  def calendar(stretches = open_days)
    Bench::Calendar.new(stretches)
  end

  def shop(people: 1, **more)
    technicians = Array.new(people) { |index| Bench::Technician.new(id: index + 1, calendar: calendar) }
    Bench::Shop.new(technicians: technicians, open: calendar, **more)
  end

  def operation(*pieces, **more)
    Bench::Operation.new(pieces: pieces, **more)
  end

  # Hands-on minutes, or whole operations, one after the other.
  def chain(number, *operations, **more)
    named = operations.each_with_index.map do |one, place|
      (one.is_a?(Integer) ? operation(one) : one).with(key: :"step_#{place}")
    end
    Bench::Chain.new(number: number, operations: named, **more)
  end

  def problem(shop, *chains, **more)
    Bench::Problem.new(shop, chains, **more)
  end

  # In the order of the chains.
  def placed(problem, order = problem.steps.map(&:index), given = [])
    Bench::Placing.new(problem).call(order, given)
  end

  def random_chain(random, number, spread: 0.35, **more)
    washes = random.rand < 0.5
    first = operation(random.rand(5..30), random.rand(5..30), spread: spread, slots: washes ? [1] : [],
      dry_minutes: washes ? random.rand(2..30) * 60 : 0, dry_spread: washes ? spread / 4 : 0.0)
    last = operation(random.rand(5..20), spread: spread, not_before: random.rand < 0.2 ? random.rand(1..40) * 60 : 0,
      late_spread: spread)
    chain(number, first, last, **more)
  end
end
