# frozen_string_literal: true

require "cgi"

module UprightBench
  module Outbox
    # A card as an e-mail message.
    module CardMail
      module_function

      # The Message-ID is the message's own key, so that a repeat can be told by whoever receives it.
      # @param message [Models::Message]
      # @param letter [Core::Cards::Letter]
      # @param shop [Models::Shop]
      # @return [String] RFC 5322
      # @raise [Rejected] when the address cannot be written in a message, or is none
      def write(message, letter, shop)
        text = [letter.text, postal(shop)].compact.join("\n\n")
        Formats::MailMessage.new(from: [shop.name, shop.email], to: message.recipient, subject: letter.subject,
          id: id(message, shop), date: Time.now, text: text, html: html(text, letter.link),
          headers: unsubscribe(letter)).to_s
      rescue ArgumentError => e
        raise Rejected, e.message
      end

      def id(message, shop)
        "#{message.key}@#{shop.email.split('@').last}"
      end

      # Whoever is written to may know from where: many places ask for it.
      # @return [String, nil]
      def postal(shop)
        shop.sender if shop.street || shop.town
      end

      # RFC 8058 clause 3.1: the header names an address that stops it by a POST with just this field, and nothing else
      # asked.
      def unsubscribe(letter)
        { "List-Unsubscribe" => "<#{letter.link}/stop>", "List-Unsubscribe-Post" => "List-Unsubscribe=One-Click" }
      end

      def html(text, link)
        address = CGI.escape_html(link)
        paragraphs = text.split("\n\n").map do |paragraph|
          linked = CGI.escape_html(paragraph).gsub(address, %(<a href="#{address}">#{address}</a>))
          "<p>#{linked.gsub("\n", "<br>\n")}</p>"
        end
        "<!doctype html>\n<html><body>\n#{paragraphs.join("\n")}\n</body></html>\n"
      end
    end
  end
end
