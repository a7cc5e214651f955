# frozen_string_literal: true

require "rack"

module UprightBench
  module Config
    module Web
      # What comes in may be no text at all. Bytes that are not UTF-8, and signs a database cannot hold, become �
      # before anything reads them; a form then points at the field, and nothing else that was typed is lost.
      class ReadableInput
        SIGN = "\uFFFD"
        UNHOLDABLE = /[\u0000-\u0008\u000B\u000C\u000E-\u001F]/

        def initialize(app)
          @app = app
        end

        def call(env)
          request = Rack::Request.new(env)
          begin
            mend(request.GET)
            mend(request.POST)
          rescue Rack::QueryParser::InvalidParameterError, Rack::QueryParser::ParameterTypeError, Rack::QueryParser::QueryLimitError,
                 Rack::Multipart::Error, EOFError
            return Answer.page(400, env)
          end
          @app.call(env)
        end

        # @return [String]
        def self.mend(text)
          text.dup.force_encoding(Encoding::UTF_8).scrub(SIGN).gsub(UNHOLDABLE, SIGN)
        end

        private

        def mend(value)
          case value
          when String then value.replace(self.class.mend(value)) unless value.frozen?
          when Hash then value.each_value { |inner| mend(inner) }
          when Array then value.each { |inner| mend(inner) }
          end
        end
      end
    end
  end
end
