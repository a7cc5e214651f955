# frozen_string_literal: true

require "rack/mock_request"
require "zlib"
require_relative "floor"

module UprightBench
  module Measure
    # Times requests in process, the whole stack from the log line to the database: what a request costs on the server,
    # without a network. Prints; judges nothing.
    class Stopwatch
      ROUNDS = 60
      WARM_UP = 5

      # Keeps the statements that pass by, each with what is filled in; of a prepared one, its name. Extends a database.
      module Statements
        def statements
          @statements ||= []
        end

        def log_connection_yield(sql, connection, filled_in = nil)
          statements << [sql, filled_in]
          super
        end
      end

      def initialize(app, out: $stdout)
        @app = app
        @out = out
      end

      # Signed in, with the heading printed, and the statements counted.
      def run
        sign_in
        DB.extend(Statements)
        @out.puts "page                           p50 ms   p95 ms  queries   gzip kB  floor ms  times floor"
        yield
      end

      # @yieldparam round [Integer] so that each may ask for something else
      # @yieldreturn [String] the body
      def report(name, rounds: ROUNDS, &block)
        WARM_UP.times(&block)
        DB.statements.clear
        body = yield WARM_UP
        sent = DB.statements.dup
        times = Array.new(rounds) { |round| timed { yield WARM_UP + 1 + round } }.sort
        print_row(name, times, sent, body)
      end

      def get(path)
        request(:get, path)
      end

      def post(path, fields)
        request(:post, path, params: fields.merge("_csrf" => @token), "HTTP_HX_REQUEST" => "true")
      end

      def gzipped(text)
        Zlib.gzip(text).bytesize
      end

      private

      def print_row(name, times, sent, body)
        p50 = times[times.size / 2]
        floor = floor_ms(sent, body)
        @out.puts format("%-28<page>s %8.1<p50>f %8.1<p95>f %8<queries>d %9.1<size>f %9.2<floor>f %12.1<ratio>f",
          page: name, p50: p50, p95: times[(times.size * 0.95).floor], queries: sent.size,
          size: gzipped(body) / 1024.0, floor: floor, ratio: p50 / floor)
      end

      # @return [Float] the median of some rounds
      def floor_ms(sent, body)
        floor = Floor.new(sent, body)
        Array.new(WARM_UP + ROUNDS) { timed { floor.call } }.drop(WARM_UP).sort[ROUNDS / 2]
      end

      def timed
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        yield
        (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000
      end

      # Always somebody else, or the limits on codes would stop the measuring.
      def somebody
        @asked = @asked.to_i + 1
        "10.#{(@asked >> 16) & 255}.#{(@asked >> 8) & 255}.#{@asked & 255}"
      end

      def sign_in
        @token = get("/login")[/name="_csrf" value="([^"]+)"/, 1]
        post("/login", "login" => Demo::Load.sign_ins.first.first, "password" => Demo::Load::PASSWORD)
        @token = get("/legend")[/name="csrf" content="([^"]+)"/, 1]
      end

      def request(verb, path, **options)
        response = Rack::MockRequest.new(@app).public_send(verb, path,
          options.merge("HTTP_COOKIE" => @cookie.to_s, "HTTP_HOST" => "127.0.0.1", "REMOTE_ADDR" => somebody))
        @cookie = response["set-cookie"].to_s.split(";").first if response["set-cookie"]
        raise "#{path} answered #{response.status}" if response.status >= 400

        response.body
      end
    end
  end
end
