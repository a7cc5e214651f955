# frozen_string_literal: true

require "open3"
require_relative "../test_helper"

# What the documents tell somebody to type works as it stands, from a shell that knows nothing of us: tasks are asked
# what they would do, programs what they are for.
class DocumentedCommandsTest < AppTest
  ROOT = Pathname(TestDatabase::ROOT)
  PAGES = ["README.md", "CONTRIBUTING.md", "SECURITY.md", *Dir.glob("docs/*.md", base: ROOT)].freeze
  CLEAN = { "PATH" => "/usr/local/bin:/usr/bin:/bin", "HOME" => "/root", "LANG" => "C.UTF-8" }.freeze

  # @return [Array<String>] all that is set as a command
  def commands
    PAGES.flat_map do |page|
      text = ROOT.join(page).read
      text.scan(/^```sh\n(.*?)^```/m).flatten.flat_map(&:lines) + text.scan(/`([^`\n]+)`/).flatten
    end.map { |line| line.sub(/\s#.*/, "").strip }
  end

  def type(*words)
    Open3.capture2e(CLEAN, *words, unsetenv_others: true, chdir: ROOT.to_s)
  end

  def test_tasks
    tasks = commands.filter_map { |line| line[%r{\bbin/rake ([a-z][\w:]*(?:\[\w+\])?)}, 1] }.uniq
    said, status = type("bin/rake", "-n", *tasks)

    assert_operator tasks.size, :>, 8
    assert_predicate status, :success?, said
    said, status = type("bin/rake", "-T")

    assert_predicate status, :success?, said
    assert_includes said, "bench:demo"
  end

  def test_programs
    programs = commands.filter_map { |line| line[%r{\b(bin/\w+)}, 1] }.uniq - ["bin/rake"]

    assert_operator programs.size, :>, 5
    programs.each do |program|
      said, status = type(program, "--help")

      assert_predicate status, :success?, "#{program}: #{said}"
      assert_includes said, program
    end
  end

  # Neither Bundler nor a task runner of one's own finds the gems of a fresh clone.
  def test_nothing_needs_what_a_fresh_clone_does_not_have
    assert_empty(commands.grep(/\b(bundle exec|npm)\b|\A(?:\w+=\S+ )*rake /))
  end
end
