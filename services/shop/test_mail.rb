# frozen_string_literal: true

require "net/smtp"
require "openssl"

module UprightBench
  module Services
    # Sends a mail to whoever asks for it, and says in plain words what the server answered.
    module TestMail
      # kind of error => what it means
      WORDS = {
        Net::SMTPAuthenticationError => "The mail server did not take the user or the password",
        Net::SMTPUnsupportedCommand => "The mail server offers no encryption (STARTTLS)",
        OpenSSL::SSL::SSLError => "No encrypted connection could be made",
        Net::OpenTimeout => "The mail server does not answer: is the port right?",
        Errno::ECONNREFUSED => "Nobody listens there: are server and port right?",
        SocketError => "There is no server of that name",
        Outbox::Rejected => "The mail server refused the message",
        Outbox::InDoubt => "The mail server broke off in the middle"
      }.freeze
      TEXT = "If you read this, mail leaves the shop."
      ANSWER = 200 # letters of it that are shown

      module_function

      # @param by [Models::Person] who gets it
      # @param settings [Config::Settings]
      # @return [String, nil] what went wrong; nil when it left
      def call(by:, settings: SETTINGS)
        Permissions.check!(:settings, by)
        shop = Models::Shop.the
        Outbox::EmailChannel.new(settings).to_staff(by.email, shop, subject: "A test from #{shop.name}", text: TEXT)
        nil
      rescue *WORDS.keys => e
        words = WORDS.find { |kind, _| e.is_a?(kind) }.last
        "#{words}. It said: #{e.message.strip[0, ANSWER]}"
      end
    end
  end
end
