# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # How long a text message is, and how many it becomes: the default alphabet of 3GPP TS 23.038 (7 bits a
      # character, some of them behind an escape and so two), else UCS-2 (16 bits). One message holds 140 bytes; of
      # several, each spends 6 on the header that joins them (3GPP TS 23.040 clause 9.2.3.24.1).
      #
      #   Gsm.new(text: "due in March").segments  # => 1
      class Gsm
        include Value

        fields :text

        # Clause 6.2.1, by code; the escape is at 27.
        ALPHABET = "@£$¥èéùìòÇ\nØø\rÅåΔ_ΦΓΛΩΠΨΣΘΞ\eÆæßÉ " \
                   "!\"#¤%&'()*+,-./0123456789:;<=>?¡ABCDEFGHIJKLMNOPQRSTUVWXYZÄÖÑÜ§¿abcdefghijklmnopqrstuvwxyzäöñüà"
          .each_char.with_index.to_h.freeze
        # Clause 6.2.1.1, behind the escape.
        EXTENSION = { "\f" => 10, "^" => 20, "{" => 40, "}" => 41, "\\" => 47, "[" => 60, "~" => 61, "]" => 62,
                      "|" => 64, "€" => 101 }.freeze
        ESCAPE = 27
        # encoding => units that one message holds alone, and joined to others
        HOLDS = { gsm7: [160, 153], ucs2: [70, 67] }.freeze

        # @return [Symbol] :gsm7 or :ucs2
        def encoding
          strange.empty? ? :gsm7 : :ucs2
        end

        # @return [Array<String>] the characters that make it UCS-2
        def strange
          text.each_char.reject { |char| char != "\e" && (ALPHABET.key?(char) || EXTENSION.key?(char)) }.uniq
        end

        # @return [Integer] septets, or 16-bit units
        def length
          units.sum(&:size)
        end

        # @return [Integer] messages
        def segments
          parts.size
        end

        # No escape is parted from what it makes, and no pair of UCS-2 from its other half.
        # @return [Array<Array<Integer>>] the codes of each message
        def parts
          alone, joined = HOLDS.fetch(encoding)
          return [units.flatten] if length <= alone

          units.each_with_object([[]]) do |unit, found|
            found << [] if found.last.size + unit.size > joined
            found.last.concat(unit)
          end
        end

        private

        # @return [Array<Array<Integer>>] the codes of each character
        def units
          return text.each_char.map { |char| char.encode("UTF-16BE").unpack("n*") } if encoding == :ucs2

          text.each_char.map { |char| ALPHABET.key?(char) ? [ALPHABET.fetch(char)] : [ESCAPE, EXTENSION.fetch(char)] }
        end
      end
    end
  end
end
