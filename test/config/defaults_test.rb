# frozen_string_literal: true

require "ripper"
require_relative "../core_helper"

# A default stands once, in the table of rules.
class DefaultsTest < CoreTest
  ROOT = File.expand_path("../..", __dir__)
  KEYS = Policies::Table::BY_KEY.keys
  NAMED = /\b(?:#{KEYS.join('|')}):/ # only where a rule is named at all is it worth taking a file apart

  # One that stood a second time would be a number beside a rule's name: no value of rules has a number for a field of
  # the table.
  def test_no_default_stands_twice
    files = Dir[File.join(ROOT, "{core,services,screens,models,outbox,papers}/**/*.rb")]

    assert_empty(files.reject { |file| file.end_with?("core/policies/table.rb") }.flat_map { |file| defaults(file) })
  end

  def test_one_would_be_found
    assert_equal ["x: bag_limit_percent: 50"], defaults_in("Policy.new(bag_limit_percent: 50)", "x")
  end

  def defaults(file)
    source = File.read(file)
    source.match?(NAMED) ? defaults_in(source, file.delete_prefix("#{ROOT}/")) : []
  end

  def defaults_in(source, name)
    tokens = Ripper.lex(source).reject { |token| %i[on_sp on_ignored_nl].include?(token[1]) }
    tokens.each_cons(2).filter_map do |(_, kind, text), (_, next_kind, number)|
      if kind == :on_label && KEYS.include?(text.chomp(":")) && %i[on_int on_float].include?(next_kind)
        "#{name}: #{text} #{number}"
      end
    end
  end
end
