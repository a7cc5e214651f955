# frozen_string_literal: true

require "openssl"

module UprightBench
  module Services
    # Slows down whoever guesses passwords, and nobody else: failures are counted for an account together with the address they
    # came from, and for the address over all accounts. So nobody can lock another one's account. An account that there is
    # not is counted like one that there is.
    class SignInTries
      SWEEP = 50 # one try in so many clears away what is forgotten

      # @param login [String] as typed
      # @param address [String] of the client
      # @param key [String] for the digests under which it is counted
      def initialize(login:, address:, key:)
        network = network(address)
        @delays = { digest(key, "pair", login.to_s.strip.downcase, network) => Core::Access::Delay::OF_A_PAIR,
                    digest(key, "address", network) => Core::Access::Delay::OF_AN_ADDRESS }
      end

      # Counts a try as failed before it is looked at, unless it comes too early: of many at once no more are looked at than of
      # as many in a row.
      # @param at [Time]
      # @return [Integer, nil] seconds to wait; nil when it may be tried now
      def begin(at:)
        DB.transaction do
          sweep(at) if rand(SWEEP).zero?
          rows = locked(at)
          wait = rows.values.map { |row| row[:next_at] - at }.max.ceil
          next wait if wait.positive?

          rows.each { |key, row| count(key, row, at) }
          nil
        end
      end

      # It was right: the account's failures from here are forgotten, and this try does not count against the address.
      def right
        pair, address = @delays.keys
        DB.transaction do
          tries.where(key: pair).delete
          tries.where(key: address, failures: 1).delete
          tries.where(key: address).update(failures: Sequel[:failures] - 1, next_at: Sequel[:last_at])
        end
      end

      private

      def tries
        DB[:sign_in_tries]
      end

      # In the order of the keys, so that two at once do not wait for each other in a ring.
      # @return [Hash{String=>Hash}] failures and next_at
      def locked(at)
        @delays.keys.sort.to_h do |key|
          tries.insert_conflict.insert(key: key, failures: 1, last_at: at - (2 * Core::Access::Delay::FORGOTTEN_AFTER_SECONDS), next_at: at)
          row = tries.where(key: key).for_update.first
          [key, row[:last_at] < at - Core::Access::Delay::FORGOTTEN_AFTER_SECONDS ? row.merge(failures: 0, next_at: at) : row]
        end
      end

      def count(key, row, at)
        failures = row[:failures] + 1
        tries.where(key: key).update(failures: failures, last_at: at, next_at: at + @delays.fetch(key).seconds(failures))
      end

      def sweep(at)
        tries.where { last_at < at - Core::Access::Delay::FORGOTTEN_AFTER_SECONDS }.delete
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
