# frozen_string_literal: true

require "minitest"

# A test that never ends says where it stands, and ends the run: otherwise nobody learns which one it was.
module Watch
  LONGEST_SECONDS = 2400 # the longest takes one minute; what is ten times slower is no fault

  class << self
    # @param name [String] of the test
    def over(name)
      @name = name
      @until = now + LONGEST_SECONDS
      @watcher ||= Thread.new { look }
      yield
    ensure
      @until = nil
    end

    private

    def now
      Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end

    def look
      loop do
        sleep 5
        tell if @until&.<(now)
      end
    end

    def tell
      warn "#{@name} has not ended after #{LONGEST_SECONDS} s."
      Thread.list.each { |thread| warn thread.inspect, thread.backtrace&.first(40), "" }
      exit!(1)
    end
  end

  def run
    Watch.over("#{self.class}##{name}") { super }
  end
end

Minitest::Test.prepend(Watch)
