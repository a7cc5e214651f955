# frozen_string_literal: true

require "json"

module UprightBench
  module Launch
    class Tests
      # Hands test files out to processes, the next one to whoever is free. One that dies is replaced, unless it did not
      # even get through its first file: another would fare no better.
      class Run
        # A process and its two ends of pipes that are ours.
        Hand = Struct.new(:place, :pid, :files, :answers, :file, :done)

        # @param files [Array<String>] in the order in which they are begun
        # @param places [Array<Place>] one for each process
        # @param root [String] of the project
        # @param report [Report]
        # @yieldparam place [Place]
        # @yieldreturn [Array(Hash, Array<String>)] environment and command of the process that works there
        def initialize(files, places:, root:, report:, &process)
          @waiting = files.dup
          @places = places
          @root = root
          @report = report
          @process = process
        end

        # @return [Boolean] whether all went well
        def call
          started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          @busy = []
          @places.each { |place| start(place) }
          hear until @busy.empty?
          @report.left(@waiting)
          @report.conclude(Process.clock_gettime(Process::CLOCK_MONOTONIC) - started)
          @report.all_well?
        end

        private

        def start(place)
          return if @waiting.empty?

          env, command = @process.call(place)
          files, gives = IO.pipe
          answers, writes = IO.pipe
          pid = Process.spawn(env, *command, chdir: @root, in: files, 3 => writes)
          [files, writes].each(&:close)
          @busy << Hand.new(place, pid, gives, answers)
          give(@busy.last)
        end

        def give(hand)
          hand.file = @waiting.shift
          hand.file ? hand.files.puts(File.join(@root, hand.file)) : hand.files.close
        rescue Errno::EPIPE
          nil # it is dead, which its answer says too
        end

        def hear
          ready, = IO.select(@busy.map(&:answers))
          @busy.select { |hand| ready.include?(hand.answers) }.each do |hand|
            line = hand.answers.gets
            line ? go_on(hand, JSON.parse(line, symbolize_names: true)) : over(hand)
          end
        end

        def go_on(hand, answer)
          hand.done = true
          @report.tell(hand.file, answer)
          give(hand)
        end

        def over(hand)
          @busy.delete(hand)
          [hand.files, hand.answers].each(&:close)
          _, status = Process.wait2(hand.pid)
          return if hand.file.nil?

          @report.died(hand.file, status, File.read(hand.place.printed))
          start(hand.place) if hand.done
        end
      end
    end
  end
end
