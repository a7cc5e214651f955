# frozen_string_literal: true

require "uri"
require_relative "clerk"
require_relative "disguises"
require_relative "instance"
require_relative "junk"

module Hostile
  # Twenty thousand requests that nobody of good will would send, from a fixed seed: as nobody, as somebody of the
  # staff, with disguised paths, nested and endless fields, files that are none, broken requests. Says what came back,
  # and what must not have.
  class Attack
    HANDS = 4
    BELONGS = [501, 503].freeze
    OPEN = %r{\A/(?:login|healthz|readyz|assets/)}
    INSIDE = /Sign out|data-jump=|%PDF/ # what only those see who are in
    VERBS = %w[GET GET GET POST POST POST HEAD PUT DELETE PATCH OPTIONS TRACE CONNECT BREW get PROPFIND].freeze
    WAYS = %i[nobody nobody staff staff staff guest strange files].freeze
    MULTIPART = ["multipart/form-data; boundary=B", "multipart/form-data"].freeze

    # @param instance [Instance] up, with the demo
    # @param count [Integer] requests
    # @param seed [Integer]
    def initialize(instance, count:, seed:, out: $stdout)
      @instance = instance
      @routes = routes
      @names = field_names
      @count = count
      @seed = seed
      @out = out
      @lock = Mutex.new
      @statuses = Hash.new(0)
      @slowest = [0, nil]
      @wrong = []
    end

    # @return [Boolean] whether nothing came back that must not
    def call
      sign_in
      at_first = warm_up
      started = now
      Array.new(HANDS) { |hand| Thread.new { attack(hand) } }.each(&:join)
      tell(at_first, now - started)
      @wrong.empty?
    end

    private

    # @return [Hash{String=>Array<String>}] verb => path patterns
    def routes
      doors = UprightBench::Screens::App.doors.reject { |door| door.verb == "HEAD" }.group_by(&:verb)
        .transform_values { |some| some.map(&:path) }
      doors.merge("GET" => [*doors.fetch("GET"), "/login"], "POST" => [*doors.fetch("POST"), "/login", "/logout"])
    end

    # Every name that a form or a route mentions.
    def field_names
      files = Dir[File.join(Instance::ROOT, "screens/**/*.{rb,erb}")]
      files.flat_map do |file|
        File.read(file).scan(/params\["(\w+)"\]|name="(\w+)"|(?:required|optional)\(:(\w+)\)/).flatten
      end.compact.uniq.sort
    end

    def wire
      @instance.wire
    end

    def now
      Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end

    def sign_in
      cookie, @guest_token = Clerk.behind(wire, "/login")
      @guest = { "Cookie" => cookie }
      cookie, @staff_token = Clerk.signed_in(wire, "Ines Varga")
      @staff = { "Cookie" => cookie }
    end

    # As large as it is after ordinary use.
    # @return [Integer] MB
    def warm_up
      junk = Junk.new(Random.new(0), @names)
      200.times { wire.ask("GET", junk.path(junk.one_of(@routes["GET"]), real: true), headers: @staff) }
      @instance.resident_mb
    end

    def attack(hand)
      junk = Junk.new(Random.new((@seed * 100) + hand), @names)
      (@count / HANDS).times { |number| one(junk, "#{hand}/#{number}") }
    end

    def one(junk, name)
      started = now
      way = junk.one_of(WAYS)
      verb, path, answer = send(way, junk)
      note(way, verb, path, answer, name, now - started)
    rescue SystemCallError => e
      @lock.synchronize { @wrong << "#{name}: the server was not there (#{e.class})" }
    end

    # Nobody, and in disguise.
    def nobody(junk)
      verb = junk.one_of(VERBS)
      path = junk.one_of(Disguises.of(junk.path(junk.one_of(@routes.values.flatten), real: junk.chance(0.7))))
      [verb, path, wire.ask(verb, path, body: (junk.form if verb == "POST"), headers: junk.headers)]
    end

    # Nobody, with the form token that the sign-in page gives to everybody.
    def guest(junk)
      path = junk.one_of(Disguises.of(junk.path(junk.one_of(@routes["POST"]), real: true)))
      ["POST", path, wire.ask("POST", path, body: "#{with(@guest_token)}&#{junk.form}", headers: @guest)]
    end

    def staff(junk)
      verb = junk.one_of(%w[GET POST])
      path = junk.path(junk.one_of(@routes[verb] - ["/logout"]), real: junk.chance(0.6))
      path = junk.one_of(Disguises.of(path)) if junk.chance(0.1)
      return [verb, path, wire.ask(verb, "#{path}?#{junk.form}"[0, 9000], headers: @staff)] if verb == "GET"

      [verb, path, wire.ask(verb, path, body: "#{with(@staff_token)}&#{junk.form}",
        headers: junk.headers.merge(@staff))]
    end

    def with(token)
      "_csrf=#{URI.encode_www_form_component(token)}"
    end

    def strange(junk)
      bytes = junk.request
      ["raw", bytes[0, 40].inspect, wire.raw(bytes, hang_up: true)]
    end

    # Multipart, with parts that are none.
    def files(junk)
      path = junk.path(junk.one_of(@routes["POST"] - ["/logout"]), real: true)
      parts = Array.new(4) { junk.part }.join
      body = "--B\r\nContent-Disposition: form-data; " \
             "name=\"_csrf\"\r\n\r\n#{@staff_token}\r\n".b << parts << junk.one_of(["--B--", "", "--B"])
      ["POST", path, wire.ask("POST", path, body: body,
        headers: @staff.merge("Content-Type" => junk.one_of(MULTIPART)))]
    end

    def note(way, verb, path, answer, name, took)
      wrong = what_is_wrong(way, path, answer)
      @lock.synchronize do
        @statuses[answer.status] += 1
        @slowest = [took, "#{way} #{verb} #{path[0, 80]}"] if took > @slowest.first
        if wrong
          @wrong << "#{name}: #{wrong}: #{way} #{verb} #{path[0, 200]} → #{answer.status} " \
                    "#{@instance.reported(answer.headers['x-request-id'])}"
        end
      end
    end

    def what_is_wrong(way, path, answer)
      return "an answer of the five hundreds" if answer.status >= 500 && !BELONGS.include?(answer.status)
      unless [0, 413].include?(answer.status) || answer.headers["content-security-policy"]
          .to_s.include?("default-src 'none'")
        return "a page without its headers"
      end

      "nobody was let in" if %i[nobody guest].include?(way) && inside?(path, answer)
    end

    def inside?(path, answer)
      answer.body.match?(INSIDE) || (answer.status == 200 && !URI.decode_www_form_component(path.b).b.match?(OPEN))
    end

    def tell(at_first, took)
      @out.puts format("%<count>d requests in %<took>.0f s (seed %<seed>d)", count: @statuses.values.sum, took: took,
        seed: @seed)
      @statuses.sort.each { |status, count| @out.puts "  #{status.zero? ? 'connection closed' : status}  #{count}" }
      @out.puts format("slowest: %<took>.1f s, %<what>s", took: @slowest.first, what: @slowest.last)
      @out.puts "web process: #{at_first} MB before, #{@instance.resident_mb} MB after, " \
                "#{@instance.most_resident_mb} MB at the most"
      @out.puts(@wrong.empty? ? "nothing that must not be" : "#{@wrong.size} that must not be:", @wrong.first(40))
    end
  end
end
