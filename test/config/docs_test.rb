# frozen_string_literal: true

require_relative "../test_helper"

# What the documents name is there.
class DocsTest < AppTest
  ROOT = Pathname(TestDatabase::ROOT)

  def test_each_test_and_file_that_the_page_on_security_names
    text = ROOT.join("docs/security.md").read
    tests = text.scan(%r{`([\w/]+_test\.rb)`}).flatten
    files = text.scan(%r{`((?:core|services|formats|config|web)/[\w/]+\.rb)`}).flatten - tests

    assert_operator tests.size, :>, 20
    assert_empty(tests.uniq.reject { |name| ROOT.join("test", name).exist? })
    assert_empty(files.uniq.reject { |name| ROOT.join(name).exist? })
  end

  def test_links_between_the_documents_lead_somewhere
    ["README.md", "CONTRIBUTING.md", "SECURITY.md", *ROOT.glob("docs/*.md").map do |path|
      path.relative_path_from(ROOT)
    end]
      .each do |name|
        page = ROOT.join(name)

        page.read.scan(/\]\(([^)#\s]+)(?:#[^)]*)?\)/).flatten.reject { |link| link.include?("://") }.each do |link|
          assert_path_exists page.dirname.join(link), "#{name}: #{link}"
        end
      end
  end

  # Each program of ours says what it does when asked.
  def test_programs_that_the_page_on_running_names
    ROOT.join("docs/service.md").read.scan(%r{bin/(\w+)}).flatten.uniq.each do |name|
      assert_predicate ROOT.join("bin", name), :executable?, name
    end
  end
end
