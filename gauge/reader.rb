# frozen_string_literal: true

require "io/console"
require "json"
require "net/http"
require "socket"

module UprightBench
  module Gauge
    # Reads the lines of a gauge, from a serial port, a pseudo-terminal or over TCP, and hands them on to the bench
    # three times a second. Needs nothing but Ruby, so that it runs on whatever the gauge is plugged into. When either
    # end is away it waits and tries again.
    class Reader
      EVERY_SECONDS = 0.3
      AGAIN_SECONDS = 2
      MOST_KEPT = 60 # lines; older ones say nothing of now
      LONGEST = 200

      # @param from [String] a path such as /dev/ttyUSB0, or tcp://HOST:PORT
      # @param to [URI] of the bench
      # @param token [String]
      # @param baud [Integer] of a serial port
      # @param tell [Boolean] whether the gauge is told where it is held
      # @param say [#call]
      def initialize(from:, to:, token:, baud: 9600, tell: false, say: ->(words) { warn words })
        @from = from
        @to = URI.join(to.to_s, "/gauge-lines")
        @token = token
        @baud = baud
        @tell = tell
        @say = say
        @lines = []
        @lock = Mutex.new
        @told = nil
      end

      # Until it is ended.
      def run
        Thread.new { loop { hand_on } }
        loop { read }
      end

      private

      def read
        open_source do |source|
          @source = source
          while (line = source.gets("\n", LONGEST))
            @lock.synchronize { @lines = [*@lines, [now, line.strip]].last(MOST_KEPT) }
          end
        end
        wait("The gauge at #{@from} ended.")
      rescue SystemCallError, IOError => e
        wait("The gauge at #{@from} cannot be read: #{e.message}.")
      end

      def open_source(&)
        host, port = @from.match(%r{\Atcp://([^:/]+):(\d{1,5})\z})&.captures
        return TCPSocket.open(host, port.to_i, &) if host

        File.open(@from, File::RDWR | File::NOCTTY) do |port_file|
          port_file.raw! if port_file.tty?
          system("stty", "-F", @from, @baud.to_s, err: File::NULL)
          yield port_file
        end
      end

      def hand_on
        sleep EVERY_SECONDS
        lines = @lock.synchronize { @lines.tap { @lines = [] } }
        tell(post(lines))
      rescue SystemCallError, IOError, Timeout::Error, JSON::ParserError, SocketError => e
        wait("The bench at #{@to} is away: #{e.message}.")
      end

      # @return [Hash] where the gauge is held
      def post(lines)
        body = lines.map { |time, text| "#{((now - time) * 1000).round} #{text}\n" }.join
        answer = http.post(@to.path, body, "authorization" => "Bearer #{@token}", "content-type" => "text/plain")
        return JSON.parse(answer.body) if answer.is_a?(Net::HTTPSuccess)

        wait("The bench answered #{answer.code}: is the token right?")
        {}
      end

      def http
        @http = nil unless @http&.started?
        @http ||= Net::HTTP.start(@to.host, @to.port, use_ssl: @to.scheme == "https", open_timeout: 5, read_timeout: 10)
      end

      def tell(held)
        return if !@tell || held.empty? || held == @told || @source.nil?

        @source.write("at #{JSON.generate(held)}\n")
        @source.flush
        @told = held
      end

      # Said once, however long it lasts, and not when it is over at the next try.
      def wait(words)
        @times = words == @words ? @times + 1 : 1
        @words = words
        @say.call(words) if @times == 2
        @http = nil
        sleep AGAIN_SECONDS
      end

      def now
        Process.clock_gettime(Process::CLOCK_MONOTONIC)
      end
    end
  end
end
