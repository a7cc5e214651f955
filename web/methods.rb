# frozen_string_literal: true

module UprightBench
  module Web
    # Pages are read and forms are sent: anything else is refused before it is looked at, with a page of ours.
    class Methods
      TAKEN = %w[GET HEAD POST].freeze
      KNOWN = %w[PUT PATCH DELETE OPTIONS TRACE CONNECT].freeze # RFC 9110, RFC 5789

      def initialize(app)
        @app = app
      end

      def call(env)
        verb = env["REQUEST_METHOD"]
        return @app.call(env) if TAKEN.include?(verb)

        KNOWN.include?(verb) ? Answer.page(405, env, headers: { "allow" => TAKEN.join(", ") }) : Answer.page(501, env)
      end
    end
  end
end
