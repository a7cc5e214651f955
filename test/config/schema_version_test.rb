# frozen_string_literal: true

# Group: slow (every migration, several times, in processes of its own)

require "open3"
require_relative "../test_helper"

# Bringing tables up to date: two at once wait for each other, and an older program leaves newer tables alone.
class SchemaVersionTest < AppTest
  def migrate(env, *command)
    Open3.capture2e(env, *(command.empty? ? %w[bundle exec rake db:migrate] : command), chdir: TestDatabase::ROOT)
  end

  def in_an_empty_one
    TestDatabase.empty_one("upgrade") do |env|
      Sequel.connect(env.fetch("DATABASE_OWNER_URL"), keep_reference: false) { |owner| yield env, owner }
    end
  end

  def test_two_at_once_wait_for_each_other
    in_an_empty_one do |env, owner|
      answers = Array.new(2) { Thread.new { migrate(env) } }.map(&:value)

      answers.each { |out, status| assert_predicate status, :success?, out }
      assert_equal Config::SchemaVersion.newest, owner[:schema_info].get(:version)
    end
  end

  def test_newer_and_older_tables_are_refused_with_a_sentence
    in_an_empty_one do |env, owner|
      migrate(env)
      { 1 => [/of a newer program/, false], -1 => [/brought up to date first/, true] }.each do |more, (words, migrates)|
        owner[:schema_info].update(version: Config::SchemaVersion.newest + more)
        out, status = migrate(env.merge("DATABASE_OWNER_URL" => nil), "timeout", "300", "bundle", "exec", "puma", "-C",
          "config/puma.rb")

        refute_predicate status, :success?
        assert_match words, out
        out, status = migrate(env.merge("DATABASE_OWNER_URL" => nil), "timeout", "300", "bin/worker")

        refute_predicate status, :success?
        assert_match words, out
        next if migrates

        out, status = migrate(env)

        refute_predicate status, :success?
        assert_match words, out
      end
    end
  end
end
