# frozen_string_literal: true

require_relative "../test_helper"

# What the whole shelf will be asked for, from the small demo and from what is laid here.
class ForecastShelfTest < DatabaseTest
  def setup
    Models::Due.running.update(due_on: today + 2000, early_on: nil, late_on: nil)
    Models::Message.dataset.update(leaves_on: today - 900)
    @machine = new_machine
    Services::SetClocks.call(@machine, on: today)
    @due = Models::Due.running.where(machine_id: @machine.id, action: "replace", position: "post-filter").first
    @due.update(due_on: today + 5, early_on: nil, late_on: nil, may_card: true)
    Models::Due.running.where(machine_id: @machine.id).exclude(id: @due.id)
      .update(due_on: today + 2000, early_on: nil, late_on: nil)
  end

  def reckon
    Services::ForecastShelf.call(at: NOW)
  end

  # @return [Float] of somebody whose card leaves today
  def one_who_comes(days, chance: 0.4, counts: [0] * 5)
    Core::Shelf::ComesBack.new(card_in: 0, follow_up_in: 30, chance: chance,
      answers: Core::Shelf::AnswerDays.new(counts: counts)).within(days)
  end

  def of(number)
    Models::PartForecast.with_pk(part(number).id)
  end

  def fit(number, at: @due.position)
    Models::Fitting.in_place.where(machine_id: @machine.id, position: at).update(removed_on: today)
    Models::Fitting.create(machine_id: @machine.id, position: at, part_id: part(number).id,
      fitted_on: today - 300, created_by: owner.id)
  end

  def test_what_falls_due_is_asked_of_the_part_that_sits_there
    fit("HD-2010")
    reckon

    assert_in_delta one_who_comes(of("HD-2010").days), of("HD-2010").from_dues, 1e-6
    assert_equal 1, of("HD-2010").tasks
  end

  # Their card names both, so both parts are asked for at once; what is due after the bundling window is not.
  def test_what_travels_on_the_first_card_is_asked_for_with_it
    later = Models::Due.running.where(machine_id: @machine.id, action: "replace", position: "roll").first
    fit("HD-2030", at: "roll")
    forecast = lambda { |days|
      later.update(due_on: today + days, may_card: true)
      reckon
      of("HD-2030")
    }

    assert_in_delta 0, forecast.call(51).from_dues, 1e-6
    forecast.call(50)

    assert_in_delta one_who_comes(of("HD-2030").days), of("HD-2030").from_dues, 1e-6
  end

  # One card of one, ten days after it: (1 + 8) / 21 come, and one more within two weeks.
  def test_a_card_that_brought_its_machine_raises_the_chance
    fit("HD-2010")
    other = new_machine("Tolliver Wick")
    Services::SetClocks.call(other, on: today)
    card = write_card(other.customer, at: in_days(-200))
    due = Models::Due.running.first(machine_id: other.id)
    Models::CardLine.create(card_id: card.id, due_id: due.id, attempt: 1, leaves_on: today - 200)
    Models::Due.running.where(machine_id: other.id).update(due_on: today + 2000, early_on: nil, late_on: nil)
    take_in(other, at: card.created_at + (10 * 86_400))
    reckon

    assert_in_delta one_who_comes(of("HD-2010").days, chance: 9 / 21.0, counts: [0, 1, 0, 0, 0]),
      of("HD-2010").from_dues, 1e-6
  end

  # Whoever got their card and has not come is the less likely to, and nobody is counted on for ever.
  def test_the_longer_ago_the_card_the_less_is_expected
    fit("HD-2010")
    expected = [0, 25, 400].map do |days|
      Models::Due.where(id: @due.id).update(carded_on: today - days, attempts: 9)
      reckon
      of("HD-2010")&.from_dues.to_f
    end

    assert_equal expected.sort.reverse, expected
    assert_in_delta 0.0, expected.last
  end

  def test_what_sits_there_no_longer_made_is_asked_of_its_heir
    heir = part("HD-2020")
    part("HD-2010").update(discontinued: true, successor_id: heir.id)
    fit("HD-2010")
    reckon

    assert_nil of("HD-2010")
    assert_in_delta one_who_comes(of("HD-2020").days), of("HD-2020").from_dues, 1e-6
  end

  def test_where_nothing_is_known_the_best_fit_is_asked
    Models::Fitting.where(position: @due.position, machine_id: Models::Machine.where(sheet_id: @machine.sheet_id)
      .select(:id)).update(part_id: nil)
    best = Services::FitFor.new(@machine.to_core, today: today).call([@due.position]).fetch(@due.position)
      .candidates.first.part
    reckon

    kept = Models::PartForecast.with_pk!(best.id)

    assert_in_delta one_who_comes(kept.days), kept.from_dues, 1e-6
  end

  def test_nobody_is_counted_on_who_gets_no_card
    fit("HD-2010")
    @machine.customer.update(email_agreed: false, post_agreed: false)
    reckon

    assert_in_delta 0.0, of("HD-2010")&.from_dues.to_f
  end

  def test_who_answered_that_they_come_is_counted_on
    fit("HD-2010")
    card = write_card(@machine.customer)
    Models::CardLine.create(card_id: card.id, due_id: @due.id, attempt: 1, leaves_on: today)
    Services::AnswerCard.call(card, kind: "will_come", by: behind(card), at: NOW)
    reckon

    assert_in_delta one_who_comes(of("HD-2010").days, chance: Services::ForecastShelf::Demand::SAID_YES),
      of("HD-2010").from_dues, 1e-6
  end

  # One piece in the year: a walk-in rate over the weeks since the shop began using parts, at most a year.
  def test_what_was_used_for_those_without_a_card_walks_in
    Models::Due.running.where(id: @due.id).update(due_on: today + 2000)
    number = "HD-2030"
    before = Services::ForecastShelf::Demand.new(today: today, days: 91).walk_ins_a_week[part(number).id]
    Services::MoveStock.call(part(number), pieces: -1, kind: "used", job: take_in, by: owner, at: in_days(-1))
    after = Services::ForecastShelf::Demand.new(today: today, days: 91).walk_ins_a_week[part(number).id]

    assert_in_delta 7 / 365.0, after - before, 1e-9
  end

  def test_asked_for_twice_is_reckoned_once_and_the_level_is_what_the_core_says
    fit("HD-2010")
    2.times { Services::ForecastShelf.ask(by: owner, at: NOW) }

    assert_equal [1, 1], [Models::ForecastRun.where(finished_at: nil).count,
                          DB[:que_jobs].where(job_class: "UprightBench::Services::ForecastShelf::Work").count]
    reckon

    assert_equal 0, Models::ForecastRun.where(finished_at: nil).count
    kept = of("HD-2010")

    least = Core::Stats::Poisson.new(mean: kept.mean).quantile(0.95) # a lead time that scatters asks for no less

    assert_operator kept.level, :>=, least
  end
end
