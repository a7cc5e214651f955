# frozen_string_literal: true

module UprightBench
  module Formats
    # A text message as a network takes it: each part's user data, packed (3GPP TS 23.038 clause 6.1.2.1) and, of
    # several, behind the header that joins them (3GPP TS 23.040 clause 9.2.3.24.1), with its data coding scheme.
    class TextSubmit
      DATA_CODING = { gsm7: 0x00, ucs2: 0x08 }.freeze
      JOINING = [0x05, 0x00, 0x03].freeze # a header of five bytes follows: concatenated, three bytes long
      HEADER_SEPTETS = 7                  # the six bytes of it, filled up to a septet

      # @param gsm [Core::Cards::Gsm]
      # @param reference [Integer] 0 to 255, the same in all parts
      def initialize(gsm, reference:)
        @gsm = gsm
        @reference = reference
      end

      # @return [Integer]
      def data_coding
        DATA_CODING.fetch(@gsm.encoding)
      end

      # The user data's length of each part as the network wants it (3GPP TS 23.040 clause 9.2.3.16): septets of the
      # default alphabet, the header's among them; else bytes. Without it, seven zero bits at the end of a part that
      # fills its bytes to the last septet would read as an "@".
      # @return [Array<Integer>]
      def lengths
        codes = @gsm.parts
        joined = codes.size > 1
        return parts.map(&:bytesize) if @gsm.encoding == :ucs2

        codes.map { |part| part.size + (joined ? HEADER_SEPTETS : 0) }
      end

      # @return [Array<String>] bytes, a part each
      def parts
        codes = @gsm.parts
        codes.each_with_index.map do |part, index|
          header = codes.size > 1 ? [*JOINING, @reference, codes.size, index + 1] : []
          @gsm.encoding == :ucs2 ? (header.pack("C*") + part.pack("n*")) : septets(header, part)
        end
      end

      private

      # Seven bits each, the lowest first; behind a header the first begins on a septet's border.
      def septets(header, codes)
        skipped = header.empty? ? 0 : HEADER_SEPTETS
        number = codes.each_with_index.sum { |code, index| code << (7 * (index + skipped)) }
        number += header.each_with_index.sum { |byte, index| byte << (8 * index) }
        bytes_of(number, (codes.size + skipped) * 7)
      end

      # @return [String] the lowest byte first
      def bytes_of(number, bits)
        Array.new((bits + 7) / 8) { |index| (number >> (8 * index)) & 0xFF }.pack("C*")
      end
    end
  end
end
