# frozen_string_literal: true

require "mail"

module UprightBench
  module Outbox
    # Cards as e-mail: to the server that SMTP_URL names, or into the outbox folder when none is named.
    class MailChannel
      def initialize(settings)
        @smtp = settings.smtp_url
        @folder = settings.state_dir.join("outbox/mail")
      end

      # @param message [Models::Message]
      # @param letter [Core::Cards::Letter]
      # @param shop [Models::Shop]
      def deliver(message, letter, shop)
        mail = compose(message, letter, shop)
        if @smtp
          mail.delivery_method(:smtp, smtp_settings)
        else
          mail.delivery_method(Devices::MailDrop, folder: @folder, key: message.key)
        end
        mail.deliver!
      end

      # What became of a message that was being handed over when the process died.
      # @return [Symbol] :arrived, :not_arrived, or :unknown where the channel cannot tell
      def fate(message)
        return :unknown if @smtp

        Devices::Tray.new(@folder).has?("#{message.key}.eml") ? :arrived : :not_arrived
      end

      private

      # The Message-ID is the message's own key, so that a repeat can be told by whoever receives it.
      def compose(message, letter, shop)
        Mail.new(charset: "UTF-8", from: %("#{shop.name}" <#{shop.email}>), to: message.recipient, subject: letter.subject,
                 body: letter.text, message_id: "<#{message.key}@#{shop.email.split('@').last}>",
                 "List-Unsubscribe" => "<#{letter.link}>")
      end

      def smtp_settings
        { address: @smtp.host, port: @smtp.port || 25, user_name: @smtp.user, password: @smtp.password,
          authentication: (:plain if @smtp.user), enable_starttls_auto: true, open_timeout: 10, read_timeout: 20 }.compact
      end
    end
  end
end
