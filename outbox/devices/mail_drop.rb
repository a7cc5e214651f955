# frozen_string_literal: true

require "time"

module UprightBench
  module Outbox
    module Devices
      # Stands in for a mail server: keeps each message as a file, and where it shall come back writes the report of it
      # that a server would (RFC 3464).
      class MailDrop
        # @param settings [Config::Settings]
        def initialize(settings)
          @trouble = Trouble.for("email", settings)
          @tray = Tray.new(settings.state_dir.join("outbox/mail"), @trouble)
          @returns = Tray.new(settings.returns_dir)
        end

        # @param key [String] the message's own, by which a repeat is told
        # @param written [String] RFC 5322
        # @raise [Rejected, Trouble::Failure]
        def put(key, written, to:, tries:)
          @tray.put("#{key}.eml", written, tries: tries, to: to)
          @returns.put("#{key}.eml", report(written, to)) if @trouble.returns?(to)
        end

        def has?(key)
          @tray.has?("#{key}.eml")
        end

        private

        REPORT = <<~MAIL
          Date: %<date>s
          From: Mail server <postmaster@drop.example>
          Subject: Returned mail
          MIME-Version: 1.0
          Content-Type: multipart/report; report-type=delivery-status; boundary="=_returned"

          --=_returned
          Content-Type: text/plain

          Your message to %<to>s could not be delivered.

          --=_returned
          Content-Type: message/delivery-status

          Reporting-MTA: dns; drop.example

          Final-Recipient: rfc822; %<to>s
          Action: failed
          Status: 5.1.1
          Diagnostic-Code: smtp; 550 no such mailbox

          --=_returned
          Content-Type: text/rfc822-headers

          %<headers>s

          --=_returned--
        MAIL
        private_constant :REPORT

        def report(written, to)
          headers = written.split("\r\n\r\n", 2).first.delete("\r")
          format(REPORT, date: Time.now.rfc2822, to: to, headers: headers).gsub("\n", "\r\n")
        end
      end
    end
  end
end
