# frozen_string_literal: true

require "mail"

module UprightBench
  module Formats
    # What a mail server writes when it could not deliver a message, or says something else of its delivery: RFC 3464,
    # read with the mail library.
    class DeliveryReport
      FAILED = "failed" # RFC 3464 clause 2.3.3; delayed, delivered, relayed and expanded are the others
      # Of what it is about; RFC 6522 and 6533
      RETURNED = %w[message/rfc822 text/rfc822-headers message/global message/global-headers].freeze

      # @param bytes [String] of a whole message
      # @return [DeliveryReport, nil] nil when it is no report, or does not say of which message
      def self.read(bytes)
        mail = Mail.read_from_string(bytes)
        said = mail.delivery_status_part
        id = said && returned_id(mail)
        new(id, *[said.action, said.error_status, said.diagnostic_code].map { |value| one_line(value) }) if id
      rescue StandardError
        nil # it comes from anybody, and the library fails in many ways
      end

      # @return [String, nil] the number of the message that the report is about
      def self.returned_id(mail)
        about = mail.parts.find { |part| RETURNED.include?(part.mime_type) }
        about && Mail.read_from_string(about.body.decoded).message_id
      end

      def self.one_line(value)
        Array(value).first.to_s.gsub(/[[:space:][:cntrl:]]+/, " ").strip
      end
      private_class_method :returned_id, :one_line

      # @!attribute message_id
      #   @return [String] of the message that the report is about, without brackets
      attr_reader :message_id

      # @param action [String] of the first recipient; ours have one
      # @param status [String] RFC 3463
      # @param diagnostic [String] what the server said
      def initialize(message_id, action, status, diagnostic)
        @message_id = message_id
        @action = action
        @status = status
        @diagnostic = diagnostic
      end

      # @return [Boolean] it is given up; otherwise it is late, or arrived
      def failed?
        @action.casecmp?(FAILED)
      end

      # @return [String] as in "5.1.1: 550 no such user"
      def reason
        [@status, @diagnostic.sub(/\A[\w-]+ ?; ?/, "")].reject(&:empty?).join(": ")
      end
    end
  end
end
