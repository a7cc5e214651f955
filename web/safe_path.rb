# frozen_string_literal: true

module UprightBench
  module Web
    # Refuses a path that one program could read otherwise than the next: dot segments, double slashes, backslashes,
    # signs that are none, plain or encoded, however often. So the path that is looked at here is the path that the
    # router sees.
    class SafePath
      MOST_BYTES = 2048
      ROUNDS = 4 # of decoding; nobody encodes five times by mistake
      STRANGE = %r{//|\\|[\x00-\x1f\x7f]}n
      # A proxy may leave out what follows a semicolon.
      DOTS = %r{(?:\A|/)\.{1,2}(?:;[^/]*)?(?:/|\z)}n
      ENCODED_SLASH = /%(?:25)*(?:2f|5c)/i

      # @param path [String] as it came
      # @return [Boolean]
      def self.safe?(path)
        return false if path.bytesize > MOST_BYTES || !path.start_with?("/") || path.match?(ENCODED_SLASH)

        readings(path.b).none? { |reading| reading.match?(STRANGE) || reading.match?(DOTS) }
      end

      # Decoded once, twice, … until nothing is left to decode.
      def self.readings(path)
        ROUNDS.times.each_with_object([path]) do |_, all|
          decoded = all.last.gsub(/%(\h\h)/n) { Regexp.last_match(1).hex.chr }
          return all if decoded == all.last

          all << decoded
        end
      end
      private_class_method :readings

      def initialize(app)
        @app = app
      end

      def call(env)
        return @app.call(env) if self.class.safe?(env["PATH_INFO"])

        Answer.page(400, env)
      end
    end
  end
end
