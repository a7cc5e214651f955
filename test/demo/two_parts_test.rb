# frozen_string_literal: true
# Group: slow (loads two small demos from nothing)

require "open3"
require_relative "../test_helper"

# The demo is the same whether it is loaded at once, or its bench first and the rest later, by other processes and gone
# on with where it was broken off.
class TwoPartsTest < AppTest
  LOAD = <<~RUBY
    require "./config/boot"
    load = UprightBench::Demo::Load.new(now: TestClock.moment, households: 8, fleets: 1)
  RUBY
  AT_ONCE = ["load.call"].freeze
  IN_PARTS = ["load.first", "load.rest { |done, _| exit!(0) if done == 4 }", "load.rest", "load.rest"].freeze
  # Drawn anew each time: keys, tokens, digests of passwords.
  DRAWN = %i[password_hash token_digest key request_key said].freeze
  OURS_ALONE = %i[schema_info que_jobs que_lockers que_values bench_plans].freeze

  # @return [Hash{Symbol=>Array<Array>}] rows of each table
  def loaded(name, parts)
    TestDatabase.empty_one(name) do |env|
      run_program(env, "bundle", "exec", "rake", "db:migrate")
      Dir.mktmpdir("ub", "/var/tmp") do |folder|
        parts.each { |part| run_program({ **env, "STATE_DIR" => folder }, "bundle", "exec", "ruby", "-e", "#{LOAD}#{part}") }
      end
      Sequel.connect(env.fetch("DATABASE_OWNER_URL"), keep_reference: false) { |db| rows(db) }
    end
  end

  def run_program(env, *command)
    out, status = Open3.capture2e(env, *command, chdir: TestDatabase::ROOT)

    assert_predicate status, :success?, out
  end

  def rows(db)
    (db.tables - OURS_ALONE).to_h do |table|
      columns = db.schema(table).map(&:first) - DRAWN
      [table, db[table].order(*columns.first(2)).select_map(columns).map(&:to_s)]
    end
  end

  def test_both_ways_give_the_same_rows
    at_once = loaded("at_once", AT_ONCE)
    in_parts = loaded("in_parts", IN_PARTS)
    other = at_once.keys.reject { |table| at_once[table] == in_parts[table] }

    assert_operator at_once.fetch(:jobs).size, :>, 20
    assert_empty(other.to_h { |table| [table, (at_once[table] - in_parts[table]).first(2) + (in_parts[table] - at_once[table]).first(2)] })
  end
end
