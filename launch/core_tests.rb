# frozen_string_literal: true

require "English"
require "etc"

module UprightBench
  module Launch
    # Runs the tests of the core in as many processes as there are processors. Each loads its own files, and what it
    # says is shown when it is through.
    class CoreTests
      # @param root [String] folder of the project
      # @param processes [Integer]
      def initialize(root, processes: Etc.nprocessors)
        @root = root
        @processes = processes
      end

      # @return [Boolean] whether all went well
      def call
        running = dealt.map { |files| start(files) }
        running.map { |process| went_well?(process) }.all?
      end

      private

      # To whoever has least to load, the largest first: as near to equal times as can be had without measuring.
      # @return [Array<Array<String>>] files for each process
      def dealt
        hands = Array.new(@processes) { [] }
        files.sort_by { |file| [-File.size(file), file] }.each do |file|
          hands.min_by { |hand| hand.sum { |dealt| File.size(dealt) } } << file
        end
        hands.reject(&:empty?)
      end

      def files
        Dir[File.join(@root, "test/core/**/*_test.rb")]
      end

      def start(files)
        IO.popen(["ruby", "-w", "-Itest", "-e", Tests.load_files(files)], chdir: @root, err: %i[child out])
      end

      def went_well?(process)
        puts process.read
        process.close
        $CHILD_STATUS.success?
      end
    end
  end
end
