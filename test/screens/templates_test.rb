# frozen_string_literal: true

require_relative "../test_helper"
require "erubi"

# A template is short sentences and marks: nothing is assigned or asked of the database there, and no line is a riddle.
class TemplatesTest < AppTest
  LONGEST_LINE = 140
  RUBY = /<%(?![%#])=?=?(.*?)-?%>/m

  def self.templates
    Dir.glob("{screens,demo}/**/*.erb", base: TestDatabase::ROOT)
  end

  def text(file)
    File.read(File.join(TestDatabase::ROOT, file))
  end

  def test_no_line_is_longer_than_a_screen_is_wide
    long = self.class.templates.flat_map do |file|
      text(file).lines.each_with_index.filter_map do |line, index|
        "#{file}:#{index + 1}" if line.chomp.length > LONGEST_LINE
      end
    end

    assert_empty long
  end

  def test_nothing_is_assigned_named_or_asked_for_in_a_template
    wrong = self.class.templates.select { |file| text(file).scan(RUBY).flatten.any? { |code| trespass?(code) } }

    assert_empty wrong
  end

  def test_a_trespass_is_seen
    ["x = 1", " y, z = a ", "x ||= 2", "NAMES = []", "Job.where(id: 1)", "job.items_dataset"]
      .each { |code| assert trespass?(code), "not seen: #{code}" }
    ["if a == b", "list.each do |name|", 'tag(:p, class: "x=1")', "may? && a <= b"]
      .each { |code| refute trespass?(code), "no trespass: #{code}" }
  end

  ASSIGNED = /(?:\A|;|\()\s*@?[A-Za-z_]\w*(?:\s*,\s*@?[a-z_]\w*)*\s*(?:\|\||&&|[-+*])?=(?![=~>])/
  ASKED = /\.where\(|_dataset\b|\bDB\b|\bModels::/

  private

  def trespass?(code)
    bare = code.gsub(/"(?:\\.|[^"\\])*"|'[^']*'/, '""')
    bare.match?(ASSIGNED) || bare.match?(ASKED)
  end
end
