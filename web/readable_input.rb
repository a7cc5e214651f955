# frozen_string_literal: true

require "rack"

module UprightBench
  module Web
    # Makes readable text of all that comes in before anything reads it; a form then points at the field, and nothing
    # else that was typed is lost.
    class ReadableInput
      def initialize(app)
        @app = app
      end

      def call(env)
        request = Rack::Request.new(env)
        begin
          mend(request.GET)
          mend(request.POST)
        rescue Rack::QueryParser::InvalidParameterError, Rack::QueryParser::ParameterTypeError,
               Rack::QueryParser::QueryLimitError,
               Rack::Multipart::Error, EOFError
          return Answer.page(400, env)
        end
        @app.call(env)
      end

      private

      def mend(value)
        case value
        when String then value.replace(Formats::ReadableText.of(value)) unless value.frozen?
        when Hash then value.each_value { |inner| mend(inner) }
        when Array then value.each { |inner| mend(inner) }
        end
      end
    end
  end
end
