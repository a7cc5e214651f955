# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../../launch/tests"

# The tests' own run: who gets which file, where, and that nothing which went wrong passes for well.
class TestsTest < AppTest
  Place = Launch::Tests::Place
  Files = Launch::Tests::Files
  BODIES = {
    "well" => "def test_it = assert(true)",
    "fails" => "def test_it = flunk('so it did')",
    "raises" => "def test_it = raise('so it did')",
    "asserts_nothing" => "def test_it = nil",
    "has_no_test" => "",
    "dies" => "def test_it = exit!(3)"
  }.freeze

  def setup
    @root = Dir.mktmpdir("ub", "/var/tmp")
  end

  def teardown
    FileUtils.rm_rf(@root)
  end

  # @return [String] path in the folder
  def write(name, text)
    path = File.join(@root, name)
    FileUtils.mkdir_p(File.dirname(path))
    File.write(path, text)
    name
  end

  def file_of(name, body)
    suite = "#{name.split('_').map(&:capitalize).join}Test"
    write("#{name}_test.rb", "require 'minitest'\nclass #{suite} < Minitest::Test\n#{body}\nend\n")
  end

  # @return [Array(Boolean, Launch::Tests::Report, String)] whether all went well, the report, and what was said
  def run_of(names, processes: 1)
    report = Launch::Tests::Report.new
    places = Place.take(File.join(@root, "places"), processes)
    well = nil
    said, = capture_io do
      well = Launch::Tests::Run.new(names, places: places, root: @root, report: report) do |place|
        [{}, ["ruby", Launch::Tests::ONE_PROCESS, "7", place.printed]]
      end.call
    end
    [well, report, said]
  ensure
    places&.each(&:give_up)
  end

  def test_two_runs_in_one_clone_keep_apart
    above = File.join(@root, "places")
    first = Place.take(above, 2)
    second = Place.take(above, 2)

    assert_equal [1, 2, 3, 4], [*first, *second].map(&:number)
    first.each(&:give_up)

    assert Place.any_taken?(above)
    assert_equal [1], Place.take(above, 1).each(&:give_up).map(&:number)
    second.each(&:give_up)

    refute Place.any_taken?(above)
  end

  def test_a_run_is_well_only_when_everything_is
    well, report, said = run_of([file_of("well", BODIES["well"])])

    assert well
    assert_empty report.failed
    assert_includes said, "1 runs, 1 assertions, 0 failures, 0 errors"
    BODIES.except("well").each do |name, body|
      well, report, = run_of([file_of(name, body)])

      refute well, name
      assert_equal ["#{name}_test.rb"], report.failed
    end
  end

  # Another process goes on where one died after its first file; one that dies at its first is not replaced, and what is
  # left is said.
  def test_what_comes_after_a_process_that_died
    names = BODIES.map { |name, body| file_of(name, body) }
    well, report, = run_of(%w[well_test.rb dies_test.rb fails_test.rb])

    refute well
    assert_equal %w[dies_test.rb fails_test.rb], report.failed
    _, report, said = run_of(%w[dies_test.rb well_test.rb])

    assert_equal %w[dies_test.rb well_test.rb], report.failed
    assert_includes said, "1 files were not run."
    _, report, = run_of(names, processes: 3)

    assert_empty names - report.failed - ["well_test.rb"]
  end

  def test_the_longest_goes_first_and_so_does_a_long_one_that_nobody_timed
    slow = write("new_slow_test.rb", "# Group: slow (why)\n")
    names = [slow, *%w[short new long].map { |name| write("#{name}_test.rb", "") }]
    write("test/times.txt", "   0.5 short_test.rb\n  70.0 long_test.rb\n")
    files = Files.new(@root, names)

    assert_equal %w[new_slow_test.rb long_test.rb new_test.rb short_test.rb], files.longest_first
    assert_equal %w[long_test.rb new_test.rb short_test.rb], files.quick.names.sort
  end

  def test_what_a_file_needs_is_needed_by_whoever_requires_it
    write("test/helper.rb", "# Needs: one two\n")
    name = write("test/a_test.rb", "# Needs: three\nrequire_relative \"helper\"\n")

    assert_equal %w[one three two], Files.new(@root, [name]).needs.sort
  end
end
