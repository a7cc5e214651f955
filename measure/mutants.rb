# frozen_string_literal: true

require "etc"
require "fileutils"
require "open3"
require "parser/current"
require "timeout"
require "tmpdir"
require_relative "mutants/sites"

module UprightBench
  module Measure
    # Makes small changes to the core, one at a time, each in a copy of it, and runs the core's tests there. A change
    # that no test notices survives: either a test is missing, or the change means the same
    # (measure/mutants/equivalent.txt).
    class Mutants
      ROOT = File.expand_path("..", __dir__)
      COPIED = %w[core english launch/core_alone.rb docs/sheet.schema.json demo/sheets demo/parts.json starters
                  test/core test/support test/core_helper.rb].freeze
      PATIENCE_SECONDS = 120
      RUN = "Dir[ARGV.shift].sort.each { |file| require File.expand_path(file) }"
      ALL = "test/core/**/*_test.rb"

      # @param count [Integer] changes, drawn at random
      # @param seed [Integer]
      # @param only [String] parts of the paths of the files to change, with commas between
      def initialize(count:, seed:, only: "core/", out: $stdout)
        @count = count
        @random = Random.new(seed)
        @only = only.split(",")
        @out = out
        @queue = Queue.new
        @survivors = Queue.new
      end

      # @return [Float] share that was noticed, without the equivalent ones
      def call
        drawn = sites.reject { |site| equivalent.include?(site.change) }.sample(@count, random: @random)
        drawn.each { |site| @queue << site }
        Array.new([Etc.nprocessors, drawn.size].min) { Thread.new { work } }.each(&:join)
        report(drawn)
      end

      private

      def sites
        Dir.glob("core/**/*.rb", base: ROOT).select { |file| @only.any? { |part| file.include?(part) } }
          .flat_map { |file| Sites.new(file, File.read(File.join(ROOT, file))).all }
      end

      # @return [Array<String>] changes that mean the same, a line each, with the reason behind a tab
      def equivalent
        @equivalent ||= File.readlines(File.join(ROOT, "measure/mutants/equivalent.txt"), chomp: true)
          .map { |line| line.split("\t").first }
      end

      def work
        Dir.mktmpdir do |folder|
          copy(folder)
          raise "the core's tests fail without any change" unless passes?(folder, ALL)

          while (site = next_site)
            @survivors << site unless noticed?(folder, site)
          end
        end
      end

      def next_site
        @queue.pop(true)
      rescue ThreadError
        nil
      end

      def copy(folder)
        COPIED.each do |path|
          FileUtils.mkdir_p(File.join(folder, File.dirname(path)))
          FileUtils.cp_r(File.join(ROOT, path), File.join(folder, path))
        end
      end

      # Most changes are noticed by the tests of their own room, which take a tenth of the time.
      def noticed?(folder, site)
        file = File.join(folder, site.file)
        File.write(file, site.changed)
        room = "test/core/#{site.file.split('/')[1]}/**/*_test.rb"
        !passes?(folder, room) || !passes?(folder, ALL)
      ensure
        File.write(file, site.source)
      end

      # In a group of its own, so that what never ends can be ended.
      # @param tests [String] a pattern of paths
      def passes?(folder, tests)
        pid = Process.spawn("ruby", "-Itest", "-e", RUN, tests, chdir: folder, out: File::NULL, err: File::NULL,
          pgroup: true)
        Timeout.timeout(PATIENCE_SECONDS) { Process.wait2(pid).last.success? }
      rescue Timeout::Error
        Process.kill("KILL", -pid)
        Process.wait(pid)
        false
      end

      def report(drawn)
        lived = Array.new(@survivors.size) { @survivors.pop }.sort_by(&:to_s)
        lived.each { |site| @out.puts site }
        share = 1 - (lived.size / drawn.size.to_f)
        @out.puts format("%<noticed>d of %<all>d changes were noticed: %<share>.1f %%",
          noticed: drawn.size - lived.size, all: drawn.size, share: share * 100)
        share
      end
    end
  end
end
