# frozen_string_literal: true

require "uri"

module Hostile
  # What a request may be filled with that nobody asked for; everything is drawn from one random source.
  class Junk
    TEXTS = ["", "0", "-1", "1e999", "NaN", "9" * 400, "x" * 20_000, "\u0000", "caf\xE9", "'; drop table people; --",
             "<script>alert(1)</script>", "%", "_", "\\", "null", "true",
             "2026-02-30", "☃", "\u202Egnp", "../../etc/passwd", "1\n2", "٣", "a=b&c=d", "[]", "{{7*7}}", "${7*7}",
             "%s%n", "\r\nX-A: b"].freeze
    # A text, a list, a hash, a list of hashes, something deep.
    SHAPES = ["", "", "", "[]", "[a]", "[][a]", "[a][b][c][]"].freeze
    # Pairs that are no pairs.
    BROKEN = ["[#{'[a]' * 40}", "[", "]", "%00"].freeze
    HOST = "Host: 127.0.0.1\r\n"
    # Requests that are none.
    REQUESTS = ["GET / HTTP/9.9\r\n\r\n", "GET /\r\n\r\n", "\r\n\r\n", "GET / HTTP/1.1\r\n\r\n",
                "GET / HTTP/1.1\r\nHost: a\r\nHost: b\r\n\r\n",
                "POST / HTTP/1.1\r\n#{HOST}Content-Length: -5\r\n\r\n",
                "POST /login HTTP/1.1\r\n#{HOST}Transfer-Encoding: chunked\r\n\r\nzz\r\n",
                "POST /login HTTP/1.1\r\n#{HOST}Content-Length: 5\r\nTransfer-Encoding: chunked\r\n\r\n0\r\n\r\n",
                "GET / HTTP/1.1\r\n#{HOST}X: #{'y' * 90_000}\r\n\r\n",
                "GET /#{'a' * 20_000} HTTP/1.1\r\n#{HOST}\r\n", "\x16\x03\x01\x02\x00\x01\x00\x01\xFC\x03\x03"].freeze
    HEADERS = { "X-Forwarded-For" => "10.0.0.7", "X-Forwarded-Host" => "evil.example", "HX-Request" => "true",
                "Origin" => "http://evil.example",
                "Referer" => "http://evil.example/x", "Accept-Encoding" => "gzip", "X-HTTP-Method-Override" => "DELETE",
                "Cookie" => "upright_bench=#{'A' * 200}",
                "Range" => "bytes=0-1", "If-Modified-Since" => "x" }.freeze
    FILES = ["number,name\n#{'x,' * 500}", "\x89PNG\r\n\x1A\n".b, "\xFF\xD8\xFF".b, ""].freeze
    FILE_NAMES = ['; filename="a.jpg"', '; filename="../../x"', ""].freeze
    FILE_TYPES = ["Content-Type: image/jpeg\r\n", ""].freeze
    FILE_FIELDS = %w[pictures[] list_file file pasted list].freeze
    STEPS = %w[settle agree estimate discount done undo part end].freeze

    # @param random [Random]
    # @param names [Array<String>] of fields
    def initialize(random, names)
      @random = random
      @names = names
    end

    def one_of(list)
      list.sample(random: @random)
    end

    def chance(share)
      @random.rand < share
    end

    # @return [String] a form's body
    def form
      Array.new(@random.rand(0..8)) { "#{one_of(@names)}#{one_of(chance(0.03) ? BROKEN : SHAPES)}=#{escaped}" }
        .join("&")
    end

    # @return [String] of a multipart body, with its boundary B
    def part
      head = "--B\r\nContent-Disposition: form-data; " \
             "name=\"#{one_of(FILE_FIELDS + @names)}\"#{one_of(FILE_NAMES)}\r\n#{one_of(FILE_TYPES)}\r\n"
      head.b << one_of(FILES).b << @random.bytes(one_of([0, 2000])) << "\r\n"
    end

    # @return [String] a request, now and then with some of its bytes changed
    def request
      bytes = one_of(REQUESTS).b
      return bytes if chance(0.5)

      bytes.bytes.map { |byte| chance(0.02) ? @random.rand(256) : byte }.pack("C*")
    end

    def headers
      HEADERS.to_a.sample(@random.rand(0..3), random: @random).to_h
    end

    # @param pattern [String] as "/jobs/:number"
    # @param real [Boolean] with what may be there in its places, else with junk
    def path(pattern, real:)
      pattern.gsub(/:(\w+)/) { real ? word(Regexp.last_match(1)) : escaped[0, 300] }
    end

    private

    def escaped
      URI.encode_www_form_component(one_of(TEXTS).b)
    end

    def word(name)
      { "number" => @random.rand(1001..1400), "position" => "pre-filter", "station" => "head", "key" => "roll",
        "size" => "small", "step" => one_of(STEPS),
        "move" => one_of(%w[receive count]), "code" => "0" * 26, "part" => 1 }.fetch(name, @random.rand(1..40)).to_s
    end
  end
end
