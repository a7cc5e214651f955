# frozen_string_literal: true

require "json"
require "time"

module UprightBench
  module Config
    # How far the demo's past is loaded, beside a shop that is open already: a file in STATE_DIR, from before its first
    # job until all is there. A shop of one's own never has it.
    class Loading
      FILE = "loading.json"

      # @param folder [Pathname] STATE_DIR
      def initialize(folder)
        @path = folder.join(FILE)
      end

      # @return [Boolean]
      def under_way?
        @path.file?
      end

      # @param now [Time] of the demo
      def begin(now)
        write(now: now.utc.iso8601)
      end

      # @return [Time, nil] of the demo; nil when nothing is under way
      def now
        Time.iso8601(read.fetch("now")) if under_way?
      end

      # @param done [Integer] jobs
      # @param all [Integer]
      def keep(done, all)
        write(**read.transform_keys(&:to_sym), done: done, all: all)
      end

      def end
        @path.delete if under_way?
      end

      # @return [Array(Integer, Integer), nil] jobs that are there, and how many there will be; nil when nothing is
      #   under way
      def progress
        read.values_at("done", "all").map(&:to_i) if under_way?
      rescue Errno::ENOENT
        nil # it was ended just now
      end

      private

      def read
        JSON.parse(@path.read)
      end

      # Whole or not at all: pages read it meanwhile.
      def write(**said)
        half = @path.sub_ext(".half")
        half.write(JSON.generate(said))
        half.rename(@path)
      end
    end
  end
end
