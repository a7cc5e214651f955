# frozen_string_literal: true

module UprightBench
  module Outbox
    module Devices
      # Stands in for a mail server: a delivery method of the mail library that drops each message as an
      # .eml file (RFC 5322) named after its key.
      class MailDrop
        attr_reader :settings

        # @param settings [Hash] tray: Tray, key: String, tries: Integer
        def initialize(settings)
          @settings = settings
        end

        # @param mail [Mail::Message]
        def deliver!(mail)
          settings.fetch(:tray).put("#{settings.fetch(:key)}.eml", mail.encoded, tries: settings.fetch(:tries), to: mail.destinations.first)
        end
      end
    end
  end
end
