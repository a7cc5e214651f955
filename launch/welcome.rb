# frozen_string_literal: true

require "json"

module UprightBench
  module Launch
    # What a start says when all is up.
    module Welcome
      SIGN_INS = <<~WORDS
        The demo's sign-ins (the password is ropewalk-demo):
          ines@ropewalk.example.org      owner
          tobiah@ropewalk.example.org    technician
          sunniva@ropewalk.example.org   counter
      WORDS
      OWNER_FIRST = "While nobody can sign in, the address for the owner's account stands above.\n"

      module_function

      # @param port [String]
      # @param folder [String] STATE_DIR
      # @param own [Boolean] a shop of one's own, and not the demo's
      # @return [String]
      def words(port:, folder:, own:)
        here = "http://127.0.0.1:#{port}"
        <<~WORDS
           Upright Bench is up: #{here}/
          #{own ? OWNER_FIRST : SIGN_INS + tour(folder, here)}
          Cards that are sent land in #{File.join(folder, 'outbox')}. Ctrl-C stops everything.
        WORDS
      end

      # Where a newcomer looks first, as the demo has left it.
      def tour(folder, here)
        stops = JSON.parse(File.read(File.join(folder, "tour.json")))
        "Look first at\n#{stops.map { |what, path| "  #{what}: #{here}#{path}\n" }.join}"
      rescue SystemCallError, JSON::ParserError
        ""
      end
      private_class_method :tour
    end
  end
end
