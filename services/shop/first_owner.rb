# frozen_string_literal: true

require "digest"
require "securerandom"

module UprightBench
  module Services
    # The first account of a shop that has none: whoever can read the console of the start gets an address that works
    # once.
    module FirstOwner
      GOOD_FOR_SECONDS = 24 * 3600

      module_function

      # @return [Boolean] whether somebody can sign in and decide
      def there?
        Models::Person.may_sign_in.where(role: "owner").any?
      end

      # A new key; the one before is no longer good.
      # @return [String, nil] nil when there is an owner already
      def invite(at:)
        return if there?

        SecureRandom.urlsafe_base64(24).tap do |key|
          row = { digest: digest(key), made_at: at, used_at: nil }
          DB[:first_keys].insert_conflict(target: :id, update: row).insert(row)
        end
      end

      # @return [Boolean]
      def good?(key, at:)
        !there? && keys(key, at).any?
      end

      # @param person [Hash] name, email, password
      # @param shop [Hash] name, street, town, region, postcode, country, phone, email, tax_number
      # @param policies [Hash{String=>Object}] shop rules that are decided already
      # @param rack_slots [Integer]
      # @return [Models::Person]
      # @raise [NotFound] when the key is not good, or was used
      def call(key, person:, shop:, at:, policies: {}, rack_slots: 0)
        DB.transaction do
          if there? || keys(key, at).update(used_at: at).zero?
            raise NotFound, "This address is not good, or was used already."
          end

          owner = AddPerson.call(**person, role: "owner", at: at)
          Models::Shop.dataset.insert_conflict(target: :id, update: shop).insert(id: 1, **shop)
          History.note("opened the shop", Models::Shop.the, by: owner, at: at)
          SavePolicies.call(policies, by: owner, at: at)
          SetRack.call(rack_slots, by: owner, at: at)
          owner
        end
      end

      def keys(key, at)
        DB[:first_keys].where(digest: digest(key), used_at: nil).where { made_at > at - GOOD_FOR_SECONDS }
      end

      def digest(key)
        Digest::SHA256.hexdigest(key.to_s)
      end
      private_class_method :keys, :digest
    end
  end
end
