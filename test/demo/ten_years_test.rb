# frozen_string_literal: true

# Group: slow (a shop of ten years, small)

require_relative "../test_helper"

# A very small shop of ten years: whole, with everything checked again, and open for business.
class TenYearsTest < CommittedTest
  CUSTOMERS = 40

  def setup
    super
    @before = %i[customers machines jobs findings].to_h { |table| [table, DB[table].count] }
    @constraints = constraints
    plan = Demo::TenYears::Plan.new(customers: CUSTOMERS, machines: 60, jobs_a_machine: 4, today: today)
    Demo::TenYears::Bulk.new(Demo::TenYears::Tables.new(plan).all, say: proc {}).call
  end

  def test_a_catalogue_goes_in_whole
    before = %i[sheets parts fit_rules].to_h { |table| [table, DB[table].count] }
    kept = constraints
    Demo::TenYears::Bulk.new(Demo::TenYears::Catalogue.new(owner.id, share: 0.01).all, say: proc {}).call

    assert_equal({ sheets: 60, parts: 200, fit_rules: 2000 },
      before.to_h { |table, count| [table, DB[table].count - count] })
    assert_equal kept, constraints
    assert_predicate Models::Sheet.order(:id).last.to_core.positions, :any?
    moved = Models::StockMove.group(:part_id).select_hash(:part_id, Sequel.function(:sum, :pieces).as(:pieces))

    assert_equal moved.reject { |_, pieces|
      pieces.zero?
    }, Models::StockLevel.exclude(pieces: 0).select_hash(:part_id, :pieces)
  end

  def constraints
    DB[:pg_constraint].where(Sequel.lit("connamespace = 'public'::regnamespace")).select_order_map(:conname) +
      DB[:pg_indexes].where(schemaname: "public").select_order_map(:indexname)
  end

  def test_so_many_rows_come_in_and_every_constraint_is_back
    added = @before.to_h { |table, count| [table, DB[table].count - count] }

    assert_equal({ customers: 40, machines: 60, jobs: 240, findings: 2400 }, added)
    assert_equal @constraints, constraints
  end

  # As many as the policy allows, and what was written to often enough is left alone.
  def test_what_is_due_was_carded_as_the_shop_would_have
    lines = Models::CardLine.join(:cards, id: :card_id)
      .where(Sequel[:cards][:customer_id] => Models::Customer.where(Sequel.like(:email, "c%@example.org")).select(:id))

    assert_operator lines.count, :>, 100
    assert_equal [1, 2, 3], lines.distinct.select_order_map(Sequel[:card_lines][:attempt])
    assert_operator Services::DueBook.new(today: today).often_enough, :>, 10
  end

  def test_machines_come_in_by_turns_and_the_shop_goes_on
    machine = Models::Machine.order(:id).last

    assert_equal 4, machine.jobs_dataset.count
    job = take_in(machine)

    assert_equal Models::Job.max(:number), job.number
    place = job.sheet.walk.first
    finding = record(job, place.key, Demo::Sight.new(place, Random.new(1)).seen)

    assert_equal Models::Finding.max(:id), finding.id
  end

  def test_names_are_many_and_numbers_are_nobodys
    rows = (0...2000).map { |row| [Demo::TenYears::Crowd.name(row), Demo::TenYears::Crowd.phone(row)] }

    assert_operator rows.map(&:first).uniq.size, :>, 1900
    assert(rows.all? { |_, phone| phone.match?(/\A00\d-\d{3}-\d{4}\z/) })
  end
end
