# frozen_string_literal: true

require_relative "../test_helper"

# What the database counts of the dues is what counting them one by one gives, whatever is done to them.
class DueCountTest < DatabaseTest
  WAYS = {
    moved: lambda { |some, random|
      some.update(due_on: Date.new(2026, 1, 1) + random.rand(40), early_on: nil, late_on: nil)
    },
    never: ->(some, _) { some.update(due_on: nil, early_on: nil, late_on: nil) },
    ended: ->(some, _) { some.update(state: "ended", closed_on: Date.new(2026, 3, 1)) },
    run_again: ->(some, _) { some.update(state: "open", closed_on: nil) },
    written_about: ->(some, random) { some.update(attempts: random.rand(4)) },
    kept_at_home: ->(some, _) { some.update(may_card: Sequel.~(:may_card)) },
    said_otherwise: ->(some, _) { some.update(deciding: "hours") }
  }.freeze

  def setup
    @machine = new_machine("Brackwater Loft K")
    Services::SetClocks.call(@machine, on: today)
  end

  def counted
    Models::DueCount.group(:attempts, :due_on).having { sum(:dues) !~ 0 }.order(1, 2)
      .select_map([:attempts, :due_on, Sequel.function(:sum, :dues).as(:dues)])
  end

  def one_by_one
    Models::Due.running.where(may_card: true).exclude(due_on: nil).group(:attempts, :due_on).order(1, 2)
      .select_map([:attempts, :due_on, Sequel.function(:count).*.as(:dues)])
  end

  def test_it_follows_whatever_changes
    random = Random.new(11)
    ids = Models::Due.where(machine_id: @machine.id).select_map(:id)
    150.times do
      way = WAYS.keys.sample(random: random)
      WAYS.fetch(way).call(Models::Due.where(id: ids.sample(random.rand(1..4), random: random)), random)

      assert_equal one_by_one, counted, way
    end
  end

  # The application deletes none; whoever does it by hand, as the owner, is counted too.
  def test_it_follows_what_the_owner_deletes
    running = ->(db) { db[:dues].where(state: "open", may_card: true).exclude(due_on: nil).count }
    TestDatabase.as_owner do |db|
      db.transaction(rollback: :always) do
        before = running.call(db)
        some = db[:dues].where(state: "open", may_card: true).exclude(due_on: nil)
          .exclude(id: db[:card_lines].select(:due_id)).exclude(id: db[:due_changes].select(:due_id))
          .limit(7).select_map(:id)

        assert_equal 7, db[:dues].where(id: some).delete
        assert_equal [before - 7] * 2, [running.call(db), db[:due_counts].sum(:dues)]
      end
    end
  end

  def test_there_is_one_row_of_a_day_when_nobody_else_is_at_it
    Models::Due.where(machine_id: @machine.id).each { |due| due.update(due_on: today + 5, early_on: nil, late_on: nil) }

    assert_equal 1, Models::DueCount.where(due_on: today + 5, attempts: 0).count
  end

  def test_cards_count_as_they_are_written_and_withdrawn
    batch = write_batch(until_on: today + 365)

    assert_equal one_by_one, counted
    Models::CardLine.where(card_id: batch.cards_dataset.unordered.select(:id)).update(void: true)

    assert_equal one_by_one, counted
  end
end

# Several at once, each not yet committed while the other writes.
class DueCountsAtOnceTest < CommittedTest
  def test_two_who_change_the_same_day_do_not_wait_and_nothing_is_lost
    here, there = Models::Due.running.where(may_card: true).exclude(due_on: nil).order(:id).limit(2).all
    before = total
    DB.transaction do
      here.update(state: "ended", closed_on: today)
      Thread.new do
        DB.transaction do
          Models::Due.where(id: there.id)
            .update(due_on: here.due_on, early_on: nil, late_on: nil, attempts: here.attempts)
        end
      end.join

      assert_equal before, Thread.new { total }.value, "the other sees nothing that is not committed"
    end

    assert_equal before - 1, total
    assert_equal Models::Due.running.where(may_card: true, due_on: here.due_on, attempts: here.attempts).count,
      Models::DueCount.where(due_on: here.due_on, attempts: here.attempts).sum(:dues).to_i
  end

  private

  def total
    Models::DueCount.sum(:dues).to_i
  end
end
