# frozen_string_literal: true

require "ipaddr"
require "openssl"

module UprightBench
  module Services
    # Slows down whoever guesses passwords, and nobody else: failures are counted for an account together with the
    # address they came from, and for the address over all accounts. So nobody can lock another one's account. An
    # account that there is not is counted like one that there is.
    class SignInTries
      SWEEP = 50 # one try in so many clears away what is forgotten

      # @param login [String] as typed
      # @param address [String] of the client
      # @param key [String] for the digests under which it is counted
      def initialize(login:, address:, key:)
        network = network(address)
        @pair = digest(key, "pair", login.to_s.strip.downcase, network)
        @address = digest(key, "address", network)
        @delays = { @pair => Core::Access::Delay::OF_A_PAIR, @address => Core::Access::Delay::OF_AN_ADDRESS }
      end

      # Counts a try as failed before it is looked at, unless it comes too early: of many at once no more are looked at
      # than of as many in a row.
      # @param at [Time]
      # @return [Integer, nil] seconds to wait; nil when it may be tried now
      def begin(at:)
        one_by_one do
          long_ago = at - Core::Access::Delay::FORGOTTEN_AFTER_SECONDS
          sweep(long_ago) if rand(SWEEP).zero?
          rows = tries.where(key: @delays.keys).where { last_at >= long_ago }.as_hash(:key)
          wait = longest_wait(rows, at)
          next wait if wait.positive?

          count_all(rows, at)
          nil
        end
      end

      def longest_wait(rows, at)
        rows.values.map { |row| (row[:next_at] - at).ceil }.max.to_i
      end

      def sweep(long_ago)
        tries.where { last_at < long_ago }.delete
      end

      def count_all(rows, at)
        @delays.each { |key, delay| count(key, (rows.dig(key, :failures) || 0) + 1, delay, at) }
      end

      # It was right: the account's failures from here are forgotten, and this try does not count against the address.
      def right
        one_by_one do
          tries.where(key: @pair).or(key: @address, failures: 1).delete
          tries.where(key: @address).update(failures: Sequel[:failures] - 1, next_at: Sequel[:last_at])
        end
      end

      private

      def tries
        DB[:sign_in_tries]
      end

      # All tries from one address: there are rows to be made and taken away, which cannot be locked.
      def one_by_one
        DB.transaction do
          OneAtATime.wait("sign-in", @address)
          yield
        end
      end

      def count(key, failures, delay, at)
        row = { failures: failures, last_at: at, next_at: at + delay.seconds(failures) }
        tries.insert_conflict(target: :key, update: row).insert(key: key, **row)
      end

      def digest(key, *parts)
        OpenSSL::HMAC.hexdigest("SHA256", key, parts.join("\0"))[0, 32]
      end

      # Whoever has one IPv6 address has 2**64 of them.
      def network(address)
        ip = IPAddr.new(address.to_s)
        ip.ipv6? ? ip.mask(64).to_s : ip.to_s
      rescue IPAddr::Error
        address.to_s
      end
    end
  end
end
