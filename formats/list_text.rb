# frozen_string_literal: true

module UprightBench
  module Formats
    # A line of a list as text: UTF-8 where it is, else Windows-1252, in which spreadsheets of half of Europe write
    # (Unicode's table of it; every byte that it leaves open becomes �).
    module ListText
      module_function

      # @param line [String] bytes
      # @return [String] UTF-8
      def of(line)
        utf8 = line.dup.force_encoding(Encoding::UTF_8)
        text = if utf8.valid_encoding?
                 utf8
               else
                 line.dup.force_encoding(Encoding::Windows_1252)
                   .encode(Encoding::UTF_8, invalid: :replace, undef: :replace, replace: ReadableText::SIGN)
               end
        ReadableText.of(text)
      end
    end
  end
end
