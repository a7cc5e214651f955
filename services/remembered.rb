# frozen_string_literal: true

module UprightBench
  module Services
    # Results of long computations, by all that they follow from, so that they never grow old. The oldest make room.
    class Remembered
      # @param most [Integer] that are kept in a process
      def initialize(most)
        @most = most
        @kept = {}
        @lock = Mutex.new
      end

      # @param key [Object] everything that the result follows from
      # @yieldreturn [Object] the result
      def fetch(key)
        known = @lock.synchronize { @kept[key] }
        return known if known

        yield.tap do |result|
          @lock.synchronize do
            @kept[key] = result
            @kept.shift if @kept.size > @most
          end
        end
      end
    end
  end
end
