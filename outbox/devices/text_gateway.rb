# frozen_string_literal: true

require "json"

module UprightBench
  module Outbox
    module Devices
      # Stands in for a gateway of text messages: takes the parts as a network does, packed by 3GPP TS 23.038, and
      # keeps each message as a JSON file with its bytes in hexadecimal. A number that is none is refused.
      class TextGateway
        NUMBER = /\A\+?\d{4,15}\z/ # E.164 has fifteen digits at most

        # @param folder [Pathname]
        # @param trouble [Trouble]
        def initialize(folder, trouble = Trouble.new)
          @tray = Tray.new(folder, trouble)
        end

        # @param key [String] the message's own, by which a repeat is told
        # @param to [String] a phone number as it was typed
        # @param gsm [Core::Cards::Gsm]
        # @raise [Rejected]
        def submit(key, to:, gsm:, tries: 1)
          number = to.gsub(%r{[ \t().\-/]}, "")
          raise Rejected, "#{to} is not a number that takes text messages" unless number.match?(NUMBER)

          submit = Formats::TextSubmit.new(gsm, reference: key.delete("-").to_i(16) % 256)
          @tray.put("#{key}.json", JSON.pretty_generate(to: number, data_coding: submit.data_coding, text: gsm.text,
            parts: submit.parts.map { |part| part.unpack1("H*").upcase }, lengths: submit.lengths),
            tries: tries, to: number)
        end

        def has?(key)
          @tray.has?("#{key}.json")
        end
      end
    end
  end
end
