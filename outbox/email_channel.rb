# frozen_string_literal: true

require "cgi"
require "net/smtp"
require "openssl"

module UprightBench
  module Outbox
    # Cards as e-mail: to the server that SMTP_URL names, or into the outbox folder when none is named. Plain text
    # first, the same in HTML beside it; "unsubscribe" works from the mail program in one action (RFC 2369 and RFC
    # 8058).
    class EmailChannel
      # Before anything was said about the message, so that it cannot have arrived.
      NOT_SENT = [SocketError, Errno::ECONNREFUSED, Errno::EHOSTUNREACH, Errno::ENETUNREACH, Net::OpenTimeout,
                  Net::SMTPServerBusy,
                  Net::SMTPAuthenticationError, Net::SMTPSyntaxError, Net::SMTPUnsupportedCommand,
                  OpenSSL::SSL::SSLError].freeze

      ToStaff = Struct.new(:key, :recipient, :tries)
      private_constant :ToStaff
      OPEN_SECONDS = 10
      READ_SECONDS = 20

      def initialize(settings)
        @smtp = settings.mail_server
        @return_address = settings.return_address
        @drop = Devices::MailDrop.new(settings)
      end

      # @param message [Models::Message]
      # @param letter [Core::Cards::Letter]
      # @param shop [Models::Shop]
      # @raise [Rejected, InDoubt]
      def deliver(message, letter, shop)
        post(message, CardMail.write(message, letter, shop), shop)
      end

      # @param notice [Models::Notice]
      # @param shop [Models::Shop]
      # @param paper [Array(String, String), nil] name and bytes of a PDF that goes with it
      # @raise [Rejected, InDoubt]
      def tell(notice, shop, paper: nil)
        post(notice, NoticeMail.write(notice, shop, paper: paper), shop)
      end

      # To somebody who works here.
      # @param to [String]
      # @param shop [Models::Shop]
      # @param text [String] of one paragraph
      # @raise [StandardError] as whatever leaves by this channel would
      def to_staff(to, shop, subject:, text:)
        message = ToStaff.new(SecureRandom.uuid, to, 1)
        mail = Formats::MailMessage.new(from: [shop.name, shop.email], to: to, subject: subject,
          id: "#{message.key}@#{shop.email.split('@').last}", date: Time.now, text: text,
          html: "<p>#{CGI.escape_html(text)}</p>")
        post(message, mail.to_s, shop)
      end

      # What became of a message that was being handed over when the process died.
      # @return [Symbol] :arrived, :not_arrived, or :unknown where the channel cannot tell
      def fate(message)
        return :unknown if @smtp

        @drop.has?(message.key) ? :arrived : :not_arrived
      end

      # @return [Boolean] whether it can tell later what arrived
      def certain?
        @smtp.nil?
      end

      private

      # @param message [#key, #recipient, #tries]
      def post(message, written, shop)
        if @smtp
          send_out(written, from: @return_address || shop.email, to: message.recipient)
        else
          @drop.put(message.key, written, to: message.recipient, tries: message.tries)
        end
      end

      # Byte by byte as it was written.
      # @param from [String] where a server sends it back to; not what the customer sees
      def send_out(written, from:, to:)
        how = @smtp.user ? { user: @smtp.user, secret: @smtp.password, authtype: :plain } : {}
        server.start(helo: from.split("@").last, **how) { |open| open.send_message(written, from, to) }
      rescue Net::SMTPFatalError => e
        raise Rejected, e.message
      rescue *NOT_SENT
        raise
      rescue StandardError => e
        raise InDoubt, e.message
      end

      def server
        server = Net::SMTP.new(@smtp.host, @smtp.port)
        encrypt(server)
        server.open_timeout = OPEN_SECONDS
        server.read_timeout = READ_SECONDS
        server
      end

      def encrypt(server)
        return server.enable_tls if @smtp.tls?

        { "required" => :enable_starttls, "auto" => :enable_starttls_auto, "off" => :disable_starttls }
          .fetch(@smtp.starttls).then { |how| server.public_send(how) }
      end
    end
  end
end
