# frozen_string_literal: true

require "json"
require "minitest"

module UprightBench
  module Launch
    class Tests
      # What runs in each process of a test run: it is given files, a line each, runs one after the other, and answers
      # each with a line of JSON.
      #
      # What a file is to print, its tests and the programs they start, goes into a file of its own, so that nothing
      # stands between another file's lines.
      class OneProcess
        # Where something failed, without the lines of libraries.
        class Own
          OTHERS = %r{/gems/|/lib/ruby/|internal:|one_process\.rb|support/watch\.rb|test_helper\.rb:\d+:in .run.}

          def filter(trace)
            own = trace.to_a.grep_v(OTHERS)
            own.empty? ? trace.to_a : own
          end
        end
        MOST_LETTERS = 400_000 # of what a file printed

        # Counts, and keeps how long each test took.
        class Tally < Minitest::StatisticsReporter
          # @return [Hash{String=>Float}] seconds by name
          attr_reader :times

          def initialize
            super(nil)
            @times = {}
          end

          # A test that asserts nothing tests nothing.
          def record(result)
            result.failures << nothing(result) if result.passed? && result.assertions.zero?
            super
            @times["#{result.klass}##{result.name}"] = result.time.round(3)
          end

          private

          def nothing(result)
            Minitest::Assertion.new("It asserts nothing.").tap do |failure|
              failure.set_backtrace([result.source_location.join(":")])
            end
          end
        end

        # @param files [IO] where the names of the files are read
        # @param answers [IO]
        # @param seed [Integer]
        # @param only [Regexp, nil] names of the tests to run; all when nil
        # @param printed [String] path for what is printed
        def initialize(files:, answers:, seed:, printed:, only: nil)
          @files = files
          @answers = answers
          @seed = seed
          @only = only
          @printed = printed
        end

        def call
          Minitest.define_singleton_method(:autorun) {} # for which the helpers ask
          Minitest.backtrace_filter = Own.new
          [$stdout, $stderr].each { |stream| stream.reopen(@printed, "a").sync = true }
          while (file = @files.gets(chomp: true))
            @answers.puts JSON.generate(run(file))
            @answers.flush
          end
        end

        private

        # @return [Hash]
        def run(file)
          File.truncate(@printed, 0)
          Minitest::Runnable.reset
          suites = suites(file) # the first one loads the application, which is not this file's time
          tally = Tally.new
          tally.start
          suites.each { |suite| suite.run(tally, { filter: @only }.compact) }
          tally.report
          { file: file, took: tally.total_time, **counts(tally), printed: printed }
        end

        # @return [Array<Class>] the test classes of a file, in an order of the seed
        def suites(file)
          srand(@seed)
          Minitest.seed = @seed
          require file
          Minitest::Runnable.runnables.shuffle(random: Random.new(@seed))
        end

        def counts(tally)
          { runs: tally.count, assertions: tally.assertions, failures: tally.failures, errors: tally.errors,
            skips: tally.skips, problems: tally.results.map(&:to_s), times: tally.times }
        end

        def printed
          File.read(@printed, MOST_LETTERS).to_s.scrub
        end
      end
    end
  end
end

if $PROGRAM_NAME == __FILE__
  seed, printed, only = ARGV
  UprightBench::Launch::Tests::OneProcess.new(files: $stdin.dup, answers: IO.for_fd(3), seed: Integer(seed),
    printed: printed, only: (Regexp.new(only) if only)).call
end
