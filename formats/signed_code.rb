# frozen_string_literal: true

require "openssl"
require "date"

module UprightBench
  module Formats
    # The code on a card or on the slip of a tag: the number of what it opens and its last day, signed. Each purpose
    # signs for itself, so that a card's code opens no job.
    #
    # 6 bytes of content and 10 bytes of HMAC-SHA256 (80 bits), in 26 letters and digits that cannot be mistaken for
    # each other on paper. Nothing is stored: a code is true when its signature is. Two bits that are left over say
    # which key signed it, so that a new key does not end the codes that are printed already.
    class SignedCode
      # Not signed by us, garbled, or past its last day.
      class NotOurs < Core::Error; end

      ALPHABET = "0123456789abcdefghjkmnpqrstvwxyz" # Crockford's base 32
      LOOKALIKES = { "o" => "0", "i" => "1", "l" => "1" }.freeze
      EPOCH = Date.new(2020, 1, 1)
      SIGNATURE_BYTES = 10
      LENGTH = 26
      KEYS = 4 # that two bits tell apart

      # @param keys [Hash{Integer=>String}] number => key, the one that signs first
      def initialize(keys)
        @signing = keys.keys.first % KEYS
        @keys = keys.transform_keys { |number| number % KEYS }
      end

      # @param id [Integer] below 2**32
      # @param expires_on [Date] the last day it is good for
      # @return [String] 26 characters
      def write(id, expires_on)
        content = [id, (expires_on - EPOCH).to_i].pack("Nn")
        number = (content + sign(content, @keys.fetch(@signing))).unpack("C*")
          .inject(@signing) { |sum, byte| (sum << 8) | byte }
        Array.new(LENGTH) { |index| ALPHABET[(number >> (5 * (LENGTH - 1 - index))) & 31] }.join
      end

      # @param code [String] as typed or scanned
      # @param today [Date]
      # @return [Integer] the id
      # @raise [NotOurs]
      def read(code, today:)
        signed_by, bytes = decode(code)
        content = bytes[0, 6]
        key = @keys[signed_by]
        unless key && OpenSSL.fixed_length_secure_compare(sign(content, key), bytes[6, SIGNATURE_BYTES])
          raise NotOurs, "not one of our codes"
        end

        id, days = content.unpack("Nn")
        raise NotOurs, "this code is no longer good" if EPOCH + days < today

        id
      end

      private

      def sign(content, key)
        OpenSSL::HMAC.digest("SHA256", key, content)[0, SIGNATURE_BYTES]
      end

      # @return [Array(Integer, String)] which key, and 16 bytes
      def decode(code)
        letters = code.to_s.scrub.downcase.tr("-", "").gsub(/[oil]/, LOOKALIKES)
        raise NotOurs, "not one of our codes" unless letters.match?(/\A[#{ALPHABET}]{#{LENGTH}}\z/o)

        number = letters.each_char.inject(0) { |sum, letter| (sum << 5) | ALPHABET.index(letter) }
        [number >> 128, [(number & ((1 << 128) - 1)).to_s(16).rjust(32, "0")].pack("H*")]
      end
    end
  end
end
