# frozen_string_literal: true

module UprightBench
  module Web
    # What a request may carry, as its route says. What says beforehand that it is larger is refused unread; what does
    # not say is counted while it is read.
    class BodyLimit
      # More came than may.
      class TooLarge < Core::Error; end

      # Counts what is read of a body.
      class Counted
        def initialize(input, most)
          @input = input
          @most = most
          @read = 0
        end

        def read(length = nil, buffer = nil)
          count(buffer ? @input.read(length, buffer) : @input.read(length))
        end

        def gets
          count(@input.gets)
        end

        def each
          while (line = gets)
            yield line
          end
        end

        def close
          @input.close if @input.respond_to?(:close)
        end

        private

        def count(bytes)
          @read += bytes.to_s.bytesize
          raise TooLarge if @read > @most

          bytes
        end
      end

      # @param most [#call] from the request's env to bytes
      def initialize(app, most:)
        @app = app
        @most = most
      end

      def call(env)
        most = @most.call(env)
        return Answer.page(413, env, words: words(most)) if env["CONTENT_LENGTH"].to_i > most

        env["rack.input"] = Counted.new(env["rack.input"], most) if env["rack.input"]
        @app.call(env)
      rescue TooLarge
        Answer.page(413, env, words: words(most))
      end

      private

      def words(most)
        "This is more than can be taken here: at most #{size(most)}. Nothing was changed."
      end

      def size(bytes)
        bytes >= 1024 * 1024 ? "#{bytes / 1024 / 1024} MB" : "#{bytes / 1024} kB"
      end
    end
  end
end
