# frozen_string_literal: true

# Group: slow (loads the small demo from nothing)

require "open3"
require_relative "../test_helper"

# The demo is the same whether it is loaded at once, as that of the tests was, or its bench first and the rest later, by
# other processes and gone on with where it was broken off.
class TwoPartsTest < DatabaseTest
  LOAD = <<~RUBY.freeze
    require "./config/boot"
    load = UprightBench::Demo::Load.new(now: TestClock.moment, **#{TestDatabase::SMALL})
  RUBY
  PARTS = ["load.first", "load.rest { |done, _| exit!(0) if done == 4 }", "load.rest", "load.rest"].freeze
  # Drawn anew each time: keys, tokens, digests of passwords.
  DRAWN = %i[password_hash token_digest key request_key said].freeze
  # A trigger numbers its rows in the order in which the planner grouped them.
  NUMBERED_BY_CHANCE = { due_counts: [:id] }.freeze
  # The queue's, the seals that the tests add, and the plan, whose work is drawn.
  LEFT_OUT = %i[schema_info que_jobs que_lockers que_values bench_plans event_seals].freeze

  def run_program(env, *command)
    out, status = Open3.capture2e(env, *command, chdir: TestDatabase::ROOT)

    assert_predicate status, :success?, out
  end

  # @return [Hash{Symbol=>Array<String>}] rows of each table
  def rows(db)
    (db.tables - LEFT_OUT).to_h do |table|
      columns = db.schema(table).map(&:first) - DRAWN - NUMBERED_BY_CHANCE.fetch(table, [])
      [table, db[table].select_map(columns).map(&:to_s).sort]
    end
  end

  # @return [Hash{Symbol=>Array<String>}] of a demo that was loaded in parts
  def in_parts
    TestDatabase.empty_one("in_parts") do |env|
      run_program(env, "bundle", "exec", "rake", "db:migrate")
      Sequel.connect(env.fetch("DATABASE_OWNER_URL"), keep_reference: false) do |owner|
        TestDatabase.stop_the_clock(owner)
        Dir.mktmpdir("ub", "/var/tmp") do |folder|
          PARTS.each do |part|
            run_program({ **env, "STATE_DIR" => folder }, "bundle", "exec", "ruby", "-e", "#{LOAD}#{part}")
          end
        end
        rows(owner)
      end
    end
  end

  # @return [String] a line for each row that only one of them has: of the tables that differ, the first ones
  def differences(some, others)
    some.flat_map do |table, all|
      [all - others[table], others[table] - all].flat_map { |rows| rows.first(2).map { |row| "#{table}: #{row}" } }
    end.join("\n")
  end

  def test_both_ways_give_the_same_rows
    there = in_parts
    at_once = TestDatabase.as_owner { |owner| rows(owner) }
    other = at_once.reject { |table, all| all == there[table] }

    assert_operator at_once.fetch(:jobs).size, :>, 20
    assert_empty other.keys, differences(other, there)
  end
end
