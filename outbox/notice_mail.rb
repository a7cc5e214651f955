# frozen_string_literal: true

require "cgi"

module UprightBench
  module Outbox
    # A notice about a job as an e-mail message.
    module NoticeMail
      module_function

      # @param notice [Models::Notice]
      # @param shop [Models::Shop]
      # @param paper [Array(String, String), nil] name and bytes of a PDF
      # @return [String] RFC 5322
      # @raise [Rejected] when the address cannot be written in a message, or is none
      def write(notice, shop, paper: nil)
        Formats::MailMessage.new(from: [shop.name, shop.email], to: notice.recipient, subject: notice.subject,
          id: "#{notice.key}@#{shop.email.split('@').last}", date: Time.now, text: notice.body, html: html(notice.body),
          paper: paper)
          .to_s
      rescue ArgumentError => e
        raise Rejected, e.message
      end

      def html(text)
        paragraphs = CGI.escape_html(text).split("\n\n").map { |paragraph| "<p>#{paragraph.gsub("\n", '<br>')}</p>" }
        linked = paragraphs.join.gsub(%r{https?://[^\s<]+}) { |address| %(<a href="#{address}">#{address}</a>) }
        "<!doctype html><html><body>#{linked}</body></html>"
      end
      private_class_method :html
    end
  end
end
