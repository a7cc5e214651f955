# frozen_string_literal: true

require "fileutils"

module UprightBench
  module Launch
    class Tests
      # Where one process of a run works: a folder and a database by a number, which no other process has meanwhile, of
      # this run or of another one in the same clone.
      class Place
        attr_reader :number, :folder

        # @param above [String] folder of all places
        # @param count [Integer]
        # @return [Array<Place>] the first that are free
        def self.take(above, count)
          (1..).lazy.map { |number| new(above, number) }.select(&:take).first(count)
        end

        # @return [Boolean] whether anybody works anywhere
        def self.any_taken?(above)
          Dir.glob(File.join(above, "*/lock")).any? { |lock| File.open(lock) { |file| !file.flock(LOCK) } }
        end

        LOCK = File::LOCK_EX | File::LOCK_NB
        private_constant :LOCK

        def initialize(above, number)
          @number = number
          @folder = File.join(above, number.to_s)
        end

        # It is given up with the process that took it.
        # @return [Boolean] whether it was free
        def take
          FileUtils.mkdir_p(@folder)
          @lock = File.open(File.join(@folder, "lock"), "w")
          @lock.flock(LOCK) != false
        end

        def give_up
          @lock.close
        end

        # @return [String] path of what its tests print
        def printed
          File.join(@folder, "printed")
        end
      end
    end
  end
end
