# frozen_string_literal: true

module UprightBench
  module Launch
    class Tests
      # The test files, and what stands at their heads in comments: "Group: slow (why)" keeps a file out of a quick run;
      # "Needs: poppler-utils" names Debian packages, of whoever requires it too.
      class Files
        SLOW = /^# Group: slow\b/
        NEEDS = /^# Needs: (.+)$/
        REQUIRED = /^require_relative "([^"]+)"/
        TIMES = "test/times.txt" # seconds and file, a line each, as a whole run took them
        UNKNOWN_SECONDS = { slow: 300.0, quick: 3.0 }.freeze

        # @param root [String] of the project
        # @param pattern [String] of paths in it
        # @return [Files]
        def self.all(root, pattern = "test/**/*_test.rb")
          new(root, Dir.glob(pattern, base: root).sort)
        end

        attr_reader :names

        # @param names [Array<String>] paths in the project
        def initialize(root, names)
          @root = root
          @names = names
        end

        # @return [Files] without the slow ones
        def quick
          Files.new(@root, names.reject { |name| slow?(name) })
        end

        # @return [Array<String>] the longest first, so that no long one is begun last
        def longest_first
          names.sort_by { |name| [-times.fetch(name) { UNKNOWN_SECONDS.fetch(slow?(name) ? :slow : :quick) }, name] }
        end

        # @return [Array<String>] Debian packages
        def needs
          read = []
          names.flat_map { |name| needs_of(name, read) }.uniq
        end

        # @return [Hash{String=>Float}]
        def times
          @times ||= File.readlines(File.join(@root, TIMES), chomp: true).to_h do |line|
            seconds, name = line.split(" ", 2)
            [name, seconds.to_f]
          end
        rescue Errno::ENOENT
          {}
        end

        # @param took [Hash{String=>Float}] seconds by file
        def keep_times(took)
          lines = took.sort.map { |name, seconds| "#{format('%6.1f', seconds)} #{name}\n" }
          File.write(File.join(@root, TIMES), lines.join)
        end

        private

        def slow?(name)
          text(name).match?(SLOW)
        end

        def needs_of(name, read)
          return [] if read.include?(name) || !File.file?(File.join(@root, name))

          read << name
          own = text(name).scan(NEEDS).flat_map { |(packages)| packages.split }
          own + required_by(name).flat_map { |path| needs_of(path, read) }
        end

        # @return [Array<String>] paths in the project
        def required_by(name)
          text(name).scan(REQUIRED).flatten.map do |path|
            File.expand_path("#{path}.rb", File.join("/", File.dirname(name))).delete_prefix("/")
          end
        end

        def text(name)
          File.read(File.join(@root, name))
        end
      end
    end
  end
end
