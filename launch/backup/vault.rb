# frozen_string_literal: true

require "openssl"
require_relative "../failure"

module UprightBench
  module Launch
    module Backup
      # A stream that nobody reads without the passphrase, and that nobody shortens or changes unnoticed: AES-256-GCM in
      # frames, under a key by scrypt (RFC 7914). Each frame names its place and whether it is the last.
      #
      #   "UBB1", 16 bytes of salt, then frames: length (4 bytes), tag (16 bytes), content
      module Vault
        MARK = "UBB1"
        SALT_BYTES = 16
        TAG_BYTES = 16
        FRAME_BYTES = 1024 * 1024
        COST = { N: 2**15, r: 8, p: 1, length: 32 }.freeze

        module_function

        # @param from [IO] as it is
        # @param to [IO]
        def lock(from, to, passphrase)
          salt = OpenSSL::Random.random_bytes(SALT_BYTES)
          to.write(MARK, salt)
          cipher = Frames.new(key(passphrase, salt))
          piece = from.read(FRAME_BYTES).to_s
          loop do
            following = from.read(FRAME_BYTES)
            content, tag = cipher.lock(piece, last: following.nil?)
            to.write([content.bytesize].pack("N"), tag, content)
            break if following.nil?

            piece = following
          end
        end

        # @raise [Failure] for another passphrase, or a file that is not whole
        def unlock(from, to, passphrase)
          raise Failure, "this is no backup" unless from.read(MARK.bytesize) == MARK

          cipher = Frames.new(key(passphrase, from.read(SALT_BYTES).to_s))
          until cipher.ended?
            length = from.read(4).to_s.unpack1("N") or raise Failure, "the backup ends in the middle"
            tag = from.read(TAG_BYTES)
            to.write(cipher.unlock(from.read(length).to_s, tag, last: from.eof?))
          end
        rescue OpenSSL::Cipher::CipherError
          raise Failure, "the passphrase is another one, or the backup was changed"
        end

        def key(passphrase, salt)
          OpenSSL::KDF.scrypt(passphrase, salt: salt, **COST)
        end
        private_class_method :key

        # Each frame has the next number for its nonce; a key is used for one file.
        class Frames
          def initialize(key)
            @key = key
            @number = -1
            @ended = false
          end

          def ended?
            @ended
          end

          # @return [Array(String, String)] content and tag
          def lock(content, last:)
            cipher = prepared(OpenSSL::Cipher.new("aes-256-gcm").encrypt, last)
            [content.empty? ? cipher.final : cipher.update(content) + cipher.final, cipher.auth_tag]
          end

          def unlock(content, tag, last:)
            cipher = prepared(OpenSSL::Cipher.new("aes-256-gcm").decrypt, last)
            cipher.auth_tag = tag.to_s
            content.empty? ? cipher.final : cipher.update(content) + cipher.final
          end

          private

          def prepared(cipher, last)
            @ended = last
            @number += 1
            cipher.key = @key
            cipher.iv = [@number].pack("Q>").rjust(12, "\0")
            cipher.auth_data = last ? "last" : "more"
            cipher
          end
        end
      end
    end
  end
end
