# frozen_string_literal: true

require_relative "../shell"

module UprightBench
  module Launch
    class Tests
      # Adds up what the processes of a run answered, and says it: a line for each file, what failed in whole, the
      # slowest tests, and the sums.
      class Report
        SLOWEST = 10
        LONGEST_LINE = 1000 # letters; an object written out may have a hundred times as many
        SUMS = %i[runs assertions failures errors skips].freeze

        # @return [Hash{String=>Float}] seconds by file
        attr_reader :took

        # @return [Array<String>] files in which something failed
        attr_reader :failed

        # @param some [Boolean] whether only some tests are asked for, so that a file may have none
        def initialize(some: false)
          @some = some
          @took = {}
          @times = {}
          @failed = []
          @sums = SUMS.to_h { |sum| [sum, 0] }
        end

        # @param file [String]
        # @param answer [Hash] as OneProcess gives it
        def tell(file, answer)
          @took[file] = answer[:took]
          @times.update(answer[:times])
          SUMS.each { |sum| @sums[sum] += answer.fetch(sum) }
          problems = problems_of(answer)
          Shell.say format("%<took>7.1f s %<runs>4d tests  %<file>s", file: file, **answer.slice(:took, :runs))
          fail_with(file, problems.push(answer[:printed])) if problems.any?
        end

        # A file whose process ended in the middle of it.
        # @param status [Process::Status]
        # @param printed [String] until then
        def died(file, status, printed)
          how = status.signaled? ? "signal #{status.termsig}" : "status #{status.exitstatus}"
          @sums[:errors] += 1
          fail_with(file, ["The process ended before its tests did (#{how}).", printed])
        end

        # @param files [Array<String>] that nobody was left to run
        def left(files)
          @sums[:errors] += files.size
          @failed.concat(files)
          Shell.say "#{files.size} files were not run." if files.any?
        end

        def conclude(seconds)
          slowest = @times.max_by(SLOWEST) { |_, took| took }
            .map { |name, took| format("%<took>7.1f s  %<name>s", took: took, name: name) }
          Shell.say "", "The slowest:", *slowest, "", format("Finished in %.1f s.", seconds),
            @sums.map { |sum, count| "#{count} #{sum}" }.join(", ")
        end

        # @return [Boolean]
        def all_well?
          @failed.empty?
        end

        private

        def problems_of(answer)
          return answer[:problems] if answer[:failures].positive? || answer[:errors].positive?
          return [] if answer[:runs].positive? || @some

          @sums[:errors] += 1
          ["It ran no test. Is there a class of the same name in another file?"]
        end

        def fail_with(file, words)
          @failed << file
          lines = words.flat_map { |text| text.lines(chomp: true).map { |line| line[0, LONGEST_LINE] } << "" }
          Shell.say "", "#{file} FAILED", "", *lines
        end
      end
    end
  end
end
