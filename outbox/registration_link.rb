# frozen_string_literal: true

module UprightBench
  module Outbox
    # The page on which a customer registers a machine, behind the code that the shop gave them.
    module RegistrationLink
      module_function

      # @param registration [Models::Registration]
      # @return [String]
      def of(registration)
        "#{SETTINGS.public_url}/r/#{codes.write(registration.id, registration.expires_on)}"
      end

      # @param code [String] as typed or scanned
      # @return [Integer] the registration's id
      # @raise [Formats::SignedCode::NotOurs]
      def read(code, today:)
        codes.read(code, today: today)
      end

      def codes
        @codes ||= Formats::SignedCode.new(SETTINGS.keys.accepted(:registrations))
      end
    end
  end
end
