# frozen_string_literal: true

require "date"
require "fileutils"
require "json"
require "openssl"
require "securerandom"

module UprightBench
  module Config
    # The secret keys, one for each purpose and each with a number. A purpose gets a new key without the others
    # noticing; the one before is accepted until whatever it signed has run out by itself.
    #
    #   keys = Keys.read("var/keys.json", today: Date.today)
    #   keys.newest(:cards)              what is signed with from now on
    #   keys.accepted(:cards)            number => key, the newest first
    #   Keys.renew("var/keys.json", :cards, today: Date.today)
    #
    # The file is JSON, readable by its owner alone:
    #   { "cards": [{ "number": 1, "key": "…", "since": "2026-11-26" }, …], … }
    class Keys
      # purpose => days for which something that it signed may still be good
      LIVES = { session: 30, sign_in: 30, cards: 500, slips: 120, registrations: 366 }.freeze
      MOST_AT_ONCE = 4 # a printed code has room for no more
      BYTES = 64
      # How the purposes were told apart while there was one secret for all; what it signed stays good, as number 0.
      FROM_ONE_SECRET = { session: nil, sign_in: nil, cards: "card code", slips: "job code",
                          registrations: "registration code" }.freeze

      Key = Struct.new(:number, :key, :since, :accepted_until, keyword_init: true)

      class << self
        # @param path [String, Pathname]
        # @return [Keys, nil] nil when there is no such file
        # @raise [ArgumentError] when it cannot be understood
        def read(path, today:)
          return unless File.exist?(path)

          new(parse(File.read(path)), today: today)
        end

        # All purposes from one secret.
        # @param secret [String] 64 bytes or more
        def of_one_secret(secret, today:)
          new(rows_of(secret), today: today)
        end

        # A file with a key for each purpose; of one that is there, only purposes that are new get a key.
        # @param secret [String, nil] what everything was signed with until now
        # @return [Boolean] whether it was made
        def make(path, today:, secret: nil)
          return complete(path, today) && false if File.exist?(path)

          rows = secret ? rows_of(secret) : LIVES.to_h { |purpose, _| [purpose, []] }
          write(path, rows.to_h { |purpose, keys| [purpose, renewed(purpose, keys, today)] })
          true
        end

        # A new key for a purpose; the others that still sign something are accepted until it has run out.
        # @raise [ArgumentError] when there is no such purpose or file, or too many keys are still accepted
        def renew(path, purpose, today:)
          raise ArgumentError, "the purposes are #{LIVES.keys.join(', ')}" unless LIVES.key?(purpose)
          raise ArgumentError, "there is no file of keys at #{path}" unless File.exist?(path)

          rows = parse(File.read(path))
          write(path, rows.merge(purpose => renewed(purpose, rows.fetch(purpose), today)))
        end

        private

        def complete(path, today)
          data = JSON.parse(File.read(path))
          added = LIVES.keys.reject { |purpose| data.key?(purpose.to_s) }
          return true if added.empty?

          rows = parse(JSON.generate(added.to_h { |purpose| [purpose, []] }.merge(data)))
          write(path, rows.to_h { |purpose, keys| [purpose, keys.empty? ? renewed(purpose, [], today) : keys] })
        end

        def rows_of(secret)
          FROM_ONE_SECRET.to_h do |purpose, mark|
            key = mark ? OpenSSL::HMAC.digest("SHA256", secret, mark) : secret
            [purpose, [Key.new(number: 0, key: key, since: Date.new(2020, 1, 1))]]
          end
        end

        def renewed(purpose, keys, today)
          kept = keys.select { |key| key.accepted_until.nil? || key.accepted_until >= today }
          if kept.size >= MOST_AT_ONCE
            raise ArgumentError, "#{MOST_AT_ONCE} keys for #{purpose} are still accepted; wait until " \
                                 "#{kept.last.accepted_until}"
          end

          last = today + LIVES.fetch(purpose)
          kept.each { |key| key.accepted_until ||= last }
          [Key.new(number: (keys.map(&:number).max || 0) + 1, key: SecureRandom.bytes(BYTES), since: today), *kept]
        end

        def write(path, rows)
          FileUtils.mkdir_p(File.dirname(path))
          half = "#{path}.#{SecureRandom.hex(4)}"
          File.open(half, File::WRONLY | File::CREAT | File::EXCL, 0o600) do |file|
            file.write(JSON.pretty_generate(rows.transform_values { |keys| keys.map { |key| written(key) } }))
            file.fsync
          end
          File.rename(half, path)
        end

        def written(key)
          { number: key.number, key: key.key.unpack1("H*"), since: key.since.iso8601,
            accepted_until: key.accepted_until&.iso8601 }.compact
        end

        def parse(text)
          data = JSON.parse(text)
          LIVES.to_h do |purpose, _|
            [purpose, data.fetch(purpose.to_s).map do |row|
              Key.new(number: Integer(row.fetch("number")), key: [row.fetch("key")].pack("H*"),
                since: Date.iso8601(row.fetch("since")),
                accepted_until: row["accepted_until"] && Date.iso8601(row["accepted_until"]))
            end]
          end
        rescue JSON::ParserError, KeyError, TypeError, ArgumentError, NoMethodError
          raise ArgumentError, "the file of keys cannot be understood"
        end
      end

      # @param rows [Hash{Symbol=>Array<Key>}]
      def initialize(rows, today:)
        @rows = rows.transform_values do |keys|
          keys.select { |key| key.accepted_until.nil? || key.accepted_until >= today }.sort_by { |key| -key.number }
        end
        raise ArgumentError, "a purpose has no key" if @rows.values.any?(&:empty?)
      end

      # @return [String] bytes
      def newest(purpose)
        @rows.fetch(purpose).first.key
      end

      # @return [String, nil] the one before, while it is accepted
      def before(purpose)
        @rows.fetch(purpose)[1]&.key
      end

      # @return [Hash{Integer=>String}] number => key, the newest first
      def accepted(purpose)
        @rows.fetch(purpose).to_h { |row| [row.number, row.key] }
      end
    end
  end
end
