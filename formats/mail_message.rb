# frozen_string_literal: true

require "time"

module UprightBench
  module Formats
    # An e-mail message in plain text with the same in HTML beside it, and a paper with them if there is one: RFC 5322,
    # with the bodies of RFC 2045 and 2046 and the encoded words of RFC 2047. Written out by hand because tens of
    # thousands leave at a time, and the mail library takes several times as long; that library reads back what is
    # written here, in the tests.
    class MailMessage
      FOLD_AT = 76        # characters of a header line; RFC 5322 clause 2.1.1 asks for 78
      WORD_BYTES = 45     # of an encoded word, 60 characters in base 64; RFC 2047 clause 2 allows 75 with its frame
      CRLF = "\r\n"

      # @param from [Array(String, String)] name and address
      # @param to [String] an address
      # @param id [String] the Message-ID without its brackets
      # @param date [Time]
      # @param headers [Hash{String=>String}] more of them, ASCII
      # @param paper [Array(String, String), nil] name (ASCII, no quotes) and bytes of a PDF
      # @raise [ArgumentError] when an address is no ASCII, or holds a line break
      def initialize(from:, to:, subject:, id:, date:, text:, html:, headers: {}, paper: nil)
        unless [to, from.last].all? { |address| address.ascii_only? && !address.match?(/[\r\n]/) }
          raise ArgumentError, "an address in a message is plain ASCII"
        end

        @from = from
        @to = to
        @subject = subject
        @id = id
        @date = date
        @text = text
        @html = html
        @headers = headers
        @paper = paper
      end

      # @return [String] bytes, each line ended by CRLF
      def to_s
        [header("Date", @date.rfc2822), header("From", "#{phrase(@from.first)} <#{@from.last}>"), header("To", @to),
         header("Message-ID", "<#{@id}>"), header("Subject", unstructured(@subject)),
         *@headers.map { |name, value| header(name, value) }, header("MIME-Version", "1.0"), *body].join(CRLF).b
      end

      def body
        return said unless @paper

        outer = "#{boundary}.2"
        [header("Content-Type", %(multipart/mixed; boundary="#{outer}")), "", "--#{outer}", *said, "--#{outer}",
         *attached, "--#{outer}--", ""]
      end

      private

      def said
        [header("Content-Type", %(multipart/alternative; boundary="#{boundary}")), "", part("text/plain", @text),
         part("text/html", @html), "--#{boundary}--", ""]
      end

      def attached
        name, bytes = @paper
        ["Content-Type: application/pdf", "Content-Transfer-Encoding: base64",
         %(Content-Disposition: attachment; filename="#{name}"), "", [bytes].pack("m").gsub("\n", CRLF)]
      end

      # The id is random, and no line of a quoted-printable body begins so.
      def boundary
        "=_#{@id.delete('^0-9A-Za-z')[0, 60]}"
      end

      def part(type, body)
        ["--#{boundary}", "Content-Type: #{type}; charset=UTF-8", "Content-Transfer-Encoding: quoted-printable", "",
         [body].pack("M").gsub("\n", CRLF)].join(CRLF)
      end

      # Nothing in a value can begin a line of its own.
      def header(name, value)
        words = "#{name}: #{value.tr("\r\n", ' ')}".split(/ (?=[^ ])/)
        words.drop(1).inject([words.first]) { |lines, word| fold(lines, word) }.join(CRLF)
      end

      # A word goes on the line while there is room, else on the next, which begins with a blank (RFC 5322, 2.2.3).
      def fold(lines, word)
        return [*lines, " #{word}"] if lines.last.size + word.size >= FOLD_AT

        [*lines[..-2], "#{lines.last} #{word}"]
      end

      def phrase(name)
        plain?(name) ? %("#{name.gsub(/["\\]/) { |sign| "\\#{sign}" }}") : encoded(name)
      end

      def unstructured(text)
        plain?(text) ? text : encoded(text)
      end

      def plain?(text)
        text.ascii_only? && !text.include?("=?")
      end

      # Parted between characters, never within one.
      def encoded(text)
        words = text.each_char.with_object([+""]) do |char, found|
          found << +"" if found.last.bytesize + char.bytesize > WORD_BYTES
          found.last << char
        end
        words.map { |word| "=?UTF-8?B?#{[word].pack('m0')}?=" }.join(" ")
      end
    end
  end
end
