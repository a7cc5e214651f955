# frozen_string_literal: true

require "date"

# The clock of the tests: every test begins at the same fixed moment, and time goes on from there. It is loaded into
# every Ruby process of a run (RUBYOPT), so that a web process or a worker that a test starts has the same time.
#
# TEST_MOMENT is a time of the shop's clock ("2026-10-15 10:40"), SHOP_TZ the shop's zone. Beside it the real time goes
# on for the database's own clock (the queue and the second factor's table ask it; columns that default to it default
# to the moment in tests, see TestDatabase), for the browser's (it is asked for pauses alone) and for certificates.
module TestClock
  ZONE = "America/Halifax"
  MOMENT = "2026-10-15 10:40" # a Thursday, in the middle of the morning
  OFFSET = "TEST_CLOCK_OFFSET" # seconds to add to the real time; it is handed on to processes that a test starts

  class << self
    # @return [Float]
    attr_reader :offset

    # @return [Time] UTC, when every test begins
    def moment
      @moment ||= in_zone(ENV.fetch("SHOP_TZ")) { Time.local(*ENV.fetch("TEST_MOMENT").scan(/\d+/)).utc }
    end

    # Begins again at the moment.
    def begin
      @offset = 0.0
      @offset = (moment - Time.now).ceil(3)
      ENV[OFFSET] = @offset.to_s
    end

    # The block's own time, and that of the processes it starts, is the real one.
    def real
      before = @offset
      @offset = 0.0
      ENV[OFFSET] = "0.0"
      yield
    ensure
      @offset = before
      ENV[OFFSET] = before.to_s
    end

    def install
      ENV["SHOP_TZ"] ||= ZONE
      ENV["TEST_MOMENT"] ||= MOMENT
      @offset = ENV[OFFSET]&.to_f
      move_time
      move_date
      self.begin unless @offset
    end

    private

    # In their own place, and not before it: a test may put something else there for a while.
    def move_time
      Time.singleton_class.class_eval do
        alias_method :now_of_the_machine, :now
        define_method(:now) do |**zone|
          moved = now_of_the_machine(**zone) + TestClock.offset
          equal?(Time) ? moved : at(moved) # a sum is a Time, of whatever kind it was
        end
      end
    end

    def move_date
      Date.singleton_class.class_eval do
        alias_method :today_of_the_machine, :today
        define_method(:today) { |*| Time.now.to_date }
      end
    end

    def in_zone(zone)
      before = ENV.fetch("TZ", nil)
      ENV["TZ"] = zone
      yield
    ensure
      ENV["TZ"] = before
    end
  end
end

TestClock.install
