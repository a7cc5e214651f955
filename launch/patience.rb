# frozen_string_literal: true

require_relative "failure"
require_relative "shell"

module UprightBench
  module Launch
    # Waits as long as something is done, and says every ten seconds what for. A slow machine comes up late, not never.
    class Patience
      SAY_EVERY_SECONDS = 10
      STUCK_AFTER_SECONDS = 300 # without using the processor or writing anything
      CPU = 11..14 # of the fields behind a process's name: its own time, and that of those it waited for
      GROUP = 2

      # Says what the block waits for, until it ends.
      # @param what [String]
      # @param every [Numeric] seconds
      def self.telling(what, every: SAY_EVERY_SECONDS)
        patience = new([], every: every)
        teller = Thread.new do
          loop do
            sleep every / 10.0
            patience.say(what)
          end
        end
        yield
      ensure
        teller.kill
      end

      # @param groups [Array<Integer>] the processes that are to get ready, each the first of its group
      # @param every [Numeric] seconds between two words
      # @param clock [#call] seconds
      # @param activity [#call] a number that grows while they do something
      def initialize(groups, every: SAY_EVERY_SECONDS, clock: -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) },
        activity: -> { Patience.activity(groups) })
        @every = every
        @clock = clock
        @activity = activity
        @begun = @said = @moved = clock.call
      end

      # To be asked again and again.
      # @param what [String] that is not ready yet
      # @raise [Failure] when nothing was done for a long time
      def wait_for(what)
        say(what)
        now = @clock.call
        seen = @activity.call
        @moved = now unless seen == @seen
        @seen = seen
        return if now - @moved < STUCK_AFTER_SECONDS

        raise Failure, "#{what} does not get ready: nothing was done for #{STUCK_AFTER_SECONDS / 60} minutes"
      end

      # @param what [String]
      def say(what)
        now = @clock.call
        return if now - @said < @every

        @said = now
        Shell.say "Waiting for #{what} (#{words(now - @begun)} so far)."
      end

      # @param groups [Array<Integer>]
      # @return [Integer] processor time, and bytes written, of all processes in these groups
      def self.activity(groups)
        Dir.glob("/proc/[0-9]*/stat").sum do |path|
          fields = File.read(path).rpartition(")").last.split
          groups.include?(fields[GROUP].to_i) ? fields[CPU].sum(&:to_i) + written(path) : 0
        rescue SystemCallError
          0
        end
      end

      def self.written(path)
        File.read(path.sub(/stat\z/, "io"))[/^wchar: (\d+)/, 1].to_i
      rescue SystemCallError
        0
      end
      private_class_method :written

      private

      def words(seconds)
        seconds < 60 ? "#{seconds.round} s" : "#{(seconds / 60).floor} min"
      end
    end
  end
end
