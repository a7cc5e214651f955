# frozen_string_literal: true

module UprightBench
  module Formats
    # Bytes from outside may be no text at all. Those that are not UTF-8, and signs that a database cannot hold, become
    # �.
    module ReadableText
      SIGN = "\uFFFD"
      UNHOLDABLE = /[\u0000-\u0008\u000B\u000C\u000E-\u001F]/

      # @param bytes [String]
      # @return [String] in UTF-8
      def self.of(bytes)
        bytes.dup.force_encoding(Encoding::UTF_8).scrub(SIGN).gsub(UNHOLDABLE, SIGN)
      end
    end
  end
end
