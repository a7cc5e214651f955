# frozen_string_literal: true

require "cgi"
require "mail"

module UprightBench
  module Outbox
    # A card as an e-mail message (RFC 5322).
    class CardMail
      # @param message [Models::Message]
      # @param letter [Core::Cards::Letter]
      # @param shop [Models::Shop]
      def initialize(message, letter, shop)
        @message = message
        @letter = letter
        @shop = shop
      end

      # The Message-ID is the message's own key, so that a repeat can be told by whoever receives it.
      # @return [Mail::Message]
      def compose
        mail = Mail.new(charset: "UTF-8", from: %("#{@shop.name.delete('"\\\\')}" <#{@shop.email}>), to: @message.recipient, subject: @letter.subject,
                        message_id: "<#{@message.key}@#{@shop.email.split('@').last}>", **unsubscribe)
        text = @letter.text
        mail.text_part = part("text/plain", text)
        mail.html_part = part("text/html", html(text))
        mail
      end

      private

      # RFC 8058 clause 3.1: the header names an address that stops it by a POST with just this field, and nothing else asked.
      def unsubscribe
        { "List-Unsubscribe" => "<#{@letter.link}/stop>", "List-Unsubscribe-Post" => "List-Unsubscribe=One-Click" }
      end

      def part(type, body)
        Mail::Part.new(content_type: "#{type}; charset=UTF-8", body: body)
      end

      def html(text)
        paragraphs = text.split("\n\n").map { |one| "<p>#{linked(CGI.escape_html(one)).gsub("\n", "<br>\n")}</p>" }
        "<!doctype html>\n<html><body>\n#{paragraphs.join("\n")}\n</body></html>\n"
      end

      def linked(text)
        link = CGI.escape_html(@letter.link)
        text.gsub(link) { %(<a href="#{link}">#{link}</a>) }
      end
    end
  end
end
