# frozen_string_literal: true

require_relative "../test_helper"

# What the role that the application runs as may not do, and what not even the owner does by accident.
class RightsTest < DatabaseTest
  def refused(sql, words = /permission denied|must be owner/)
    error = assert_raises(Sequel::DatabaseError, sql) { DB.transaction(savepoint: true) { DB.run(sql) } }

    assert_match words, error.message, sql
  end

  def test_it_owns_nothing_and_is_nobody_special
    refute Config::Rights.owner?(DB)
    row = DB[:pg_roles].where(rolname: Sequel.lit("current_user")).first

    assert_equal [false] * 4, row.values_at(:rolsuper, :rolcreaterole, :rolcreatedb, :rolbypassrls)
    assert_empty DB[:pg_auth_members].join(:pg_roles, oid: :member).where(rolname: Sequel.lit("current_user"))
  end

  def test_history_cannot_be_emptied_rewritten_or_unlocked
    DB.run("SET LOCAL upright_bench.forgetting = 'yes'")
    Config::Rights::HISTORY.each do |table|
      column = DB[table].columns.last
      ["TRUNCATE #{table}", "DELETE FROM #{table}", "UPDATE #{table} SET #{column} = #{column}",
       "ALTER TABLE #{table} DISABLE TRIGGER ALL",
       "DROP TABLE #{table}", "DROP TRIGGER #{table}_are_history ON #{table}"].each { |sql| refused(sql) }
    end
    refused "SET session_replication_role = replica"
  end

  def test_it_makes_and_changes_no_tables_functions_or_numbers
    refused "CREATE TABLE mine (id integer)"
    refused "CREATE OR REPLACE FUNCTION refuse_rewriting() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN RETURN NEW; " \
            "END $$"
    refused "SELECT setval('job_numbers', 1)"
    refused "UPDATE schema_info SET version = 0"
    refused "DELETE FROM jobs"
    refused "DELETE FROM people"
  end

  # Each table is named where it differs, and every name is one of a table.
  def test_the_lists_name_tables
    named = Config::Rights::HISTORY + Config::Rights::READ + Config::Rights::DELETABLE

    assert_empty named - DB.tables
    assert_equal named.uniq, named
    triggers = DB[:pg_trigger].where(Sequel.like(:tgname, "%_are_history"))
      .select_map(Sequel.lit("tgrelid::regclass::text"))

    assert_equal triggers.sort, Config::Rights::HISTORY.map(&:to_s).sort
  end

  def test_not_even_the_owner_empties_history_by_accident
    TestDatabase.as_owner do |db|
      Config::Rights::HISTORY.each do |table|
        ["TRUNCATE #{table} CASCADE", "DELETE FROM #{table}"].each do |sql|
          assert_match(/never rewritten/, assert_raises(Sequel::DatabaseError,
            sql) { db.transaction(rollback: :always) { db.run(sql) } }.message)
        end
      end
    end
  end
end
