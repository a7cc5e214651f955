# frozen_string_literal: true

require "rack/mock_request"
require "zlib"

module UprightBench
  module Config
    # Times each main page in process, the whole stack from the log line to the database: what a request costs on
    # the server, without a network. Prints; judges nothing.
    class Bench
      ROUNDS = 60
      WARM_UP = 5

      # Counts the statements that pass by.
      class Statements
        attr_accessor :count

        def initialize
          @count = 0
        end

        %i[debug info warn error].each { |level| define_method(level) { |_| @count += 1 } }
      end

      def initialize(app, out: $stdout)
        @app = app
        @out = out
        @statements = Statements.new
      end

      def call
        sign_in
        DB.loggers << @statements
        @out.puts "page                           p50 ms   p95 ms  queries   gzip kB"
        pages.each { |name, path| report(name, path) }
        saved_finding
        @out.puts format("first load of the bench, compressed: %<kb>.0f kB", kb: first_load / 1024.0)
      ensure
        DB.loggers.delete(@statements)
      end

      private

      def pages
        open = Models::Job.in_shop.order(:id).all
        machine = Models::Due.running.order(:due_on).first.machine
        job = ->(state) { "/jobs/#{open.find { |one| one.state == state }.number}" }
        { "bench" => "/", "take in" => "/take-in", "find as you type" => "/take-in/find?q=lund", "take in, known machine" => "/take-in?machine_id=#{machine.id}",
          "look-over" => "#{job.call('taken_in')}/look-over", "job to settle" => job.call("looked_over"), "job in work" => job.call("in_work"),
          "job closed up" => job.call("closed_up"), "rack" => "/rack", "shelf" => "/shelf", "cards" => "/cards", "customers" => "/customers",
          "customer" => "/customers/#{machine.customer_id}", "machine" => "/machines/#{machine.id}", "sheets" => "/sheets", "sheet" => "/sheets/#{machine.sheet_id}",
          "settings" => "/settings", "customer's page" => URI(Outbox::CardLetter.link(Models::Card.order(:id).last)).path }
      end

      def report(name, path, &request)
        request ||= -> { get(path) }
        WARM_UP.times { request.call }
        @statements.count = 0
        body = request.call
        queries = @statements.count
        times = Array.new(ROUNDS) { timed(&request) }.sort
        @out.puts format("%-28<page>s %8.1<p50>f %8.1<p95>f %8<queries>d %9.1<size>f", page: name, p50: times[ROUNDS / 2], p95: times[(ROUNDS * 0.95).floor],
                                                                                       queries: queries, size: gzipped(body) / 1024.0)
      end

      # Saved over and over, and taken back at the end.
      def saved_finding
        job = Models::Job.in_shop.first(state: "taken_in")
        position = job.sheet.walk.find { |place| place.kind == :filter }.key
        DB.transaction(rollback: :always, auto_savepoint: true) do
          Models::Finding.where(job_id: job.id, position: position).delete
          version = -1
          report("a finding saved", nil) do
            version += 1
            post("/jobs/#{job.number}/findings/#{position}", "grey" => (version % 6).to_s, "version" => version.to_s)
          end
        end
      end

      def timed
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        yield
        (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000
      end

      def sign_in
        body = get("/login")
        @token = body[/name="_csrf" value="([^"]+)"/, 1]
        post("/login", "login" => Demo::Load.sign_ins.first.first, "password" => Demo::Load::PASSWORD)
        @token = get("/legend")[/name="csrf" content="([^"]+)"/, 1]
      end

      def get(path)
        Web::Throttle::STORE.clear # or the limits on codes would stop the measuring
        request(:get, path)
      end

      def post(path, fields)
        request(:post, path, params: fields.merge("_csrf" => @token), "HTTP_HX_REQUEST" => "true")
      end

      def request(verb, path, **options)
        response = Rack::MockRequest.new(@app).public_send(verb, path, options.merge("HTTP_COOKIE" => @cookie.to_s))
        @cookie = response["set-cookie"].to_s.split(";").first if response["set-cookie"]
        raise "#{path} answered #{response.status}" if response.status >= 400

        response.body
      end

      def first_load
        files = %w[/vendor/bootstrap.min.css /app.css /vendor/htmx.min.js /app.js /vendor/alpine-csp.min.js /icon.svg]
        fonts = %w[hyperlegible-next hyperlegible-next-ext hyperlegible-mono].sum { |name| Settings::ROOT.join("public/vendor/fonts/#{name}.woff2").size }
        gzipped(get("/")) + files.sum { |file| gzipped(get(file)) } + fonts
      end

      def gzipped(text)
        Zlib.gzip(text).bytesize
      end
    end
  end
end
