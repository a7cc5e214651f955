# frozen_string_literal: true

module UprightBench
  module Formats
    # In what a file of text is written, as far as its bytes say. A mark at the start says it; what is right in UTF-8 is
    # UTF-8, since hardly anything else would be; of the others, that is taken in which the letters beyond ASCII stand
    # where letters stand (house rule). A person who sees the rows may say otherwise.
    module TextEncoding
      # name => what it is called
      ALL = { "UTF-8" => "UTF-8", "UTF-16LE" => "UTF-16", "UTF-16BE" => "UTF-16, big end first",
              "Windows-1252" => "Windows, Western Europe", "Windows-1250" => "Windows, Central Europe",
              "ISO-8859-15" => "ISO 8859-15", "macRoman" => "Macintosh", "CP850" => "DOS, Western Europe" }.freeze
      MARKS = { "\xEF\xBB\xBF".b => "UTF-8", "\xFF\xFE".b => "UTF-16LE", "\xFE\xFF".b => "UTF-16BE" }.freeze
      GUESSED = %w[Windows-1252 macRoman CP850].freeze # in this order where they are equally likely
      LOOKED_AT = 512 * 1024 # bytes

      module_function

      # @param bytes [String]
      # @return [String] a key of ALL
      def guess(bytes)
        start = bytes.byteslice(0, LOOKED_AT).b
        MARKS.each { |mark, name| return name if start.start_with?(mark) }
        return "UTF-8" if utf8?(start, whole: start.bytesize == bytes.bytesize)
        return "UTF-16LE" if every_other_nought?(start)

        GUESSED.max_by.with_index { |name, index| [likelihood(text(start, name)), -index] }
      end

      # @return [String] UTF-8, without a mark; what has no meaning there becomes �
      def text(bytes, name)
        body = MARKS.keys.find { |mark| bytes.b.start_with?(mark) && MARKS[mark] == name }
        body = body ? bytes.byteslice(body.bytesize..) : bytes
        ReadableText.of(body.dup.force_encoding(name)
          .encode(Encoding::UTF_8, invalid: :replace, undef: :replace, replace: ReadableText::SIGN))
      end

      # The last letter may be cut off in the middle.
      def utf8?(start, whole:)
        text = start.dup.force_encoding(Encoding::UTF_8)
        return text.valid_encoding? if whole

        (0..3).any? { |cut| start.byteslice(0, start.bytesize - cut).force_encoding(Encoding::UTF_8).valid_encoding? }
      end

      def every_other_nought?(start)
        sample = start.byteslice(0, 400).bytes
        sample.size >= 4 && sample.each_slice(2).count { |_, high| high&.zero? } > sample.size / 4
      end

      SMALL = "àáâãäåæçèéêëìíîïñòóôõöøùúûüýÿœšžß"
      CAPITAL = "À-ÖØ-ÞŒŠŽ"
      LIKELY = /(?<=\p{L})[#{SMALL}]|[#{SMALL}](?=\p{L})|(?<!\p{Ll})[#{CAPITAL}](?=\p{L})|(?<=\p{Lu})[#{CAPITAL}]/
      SIGN = /[^\p{L}\p{N}\s[:ascii:]’‘“”–—]/
      UNLIKELY = /(?<=\p{Ll})[#{CAPITAL}]|(?<=\p{L})#{SIGN}|#{SIGN}(?=\p{L})|#{ReadableText::SIGN}/
      private_constant :SMALL, :CAPITAL, :LIKELY, :SIGN, :UNLIKELY

      # Letters of Latin languages where they stand in words, against capitals and signs in the middle of one, and what
      # has no meaning.
      def likelihood(text)
        text.scan(LIKELY).size - (2 * text.scan(UNLIKELY).size)
      end
      private_class_method :utf8?, :every_other_nought?, :likelihood
    end
  end
end
