# frozen_string_literal: true

module UprightBench
  module Services
    # Changes a customer's address or agreed channels. The second of two savers is told, and overwrites nothing.
    class EditCustomer
      # @param fields [Hash] columns
      # @param version [Integer] the lock version that was on the screen
      # @param how [String] a key of KeepConsent::HOW: how the customer said what channels are agreed
      # @raise [Stale]
      def self.call(customer, fields, version:, by:, at:, how: "counter")
        DB.transaction do
          customer.lock!
          changed = Phone.kept(fields).reject { |name, value| customer[name] == value }
          next customer if changed.empty?
          raise Stale, stale_words(customer, changed) unless customer.lock_version == version

          KeepConsent.call(customer, agreed(changed), how: how, by: by, at: at)
          # Somebody who was forgotten is back
          customer.update(changed.key?(:name) ? changed.merge(forgotten_on: nil) : changed)
          History.note("edited", customer, by: by, at: at, data: changed)
          customer
        end
      end

      # @return [Hash{Symbol=>Boolean}] by channel
      def self.agreed(changed)
        Models::Customer::AGREED.select { |_, column| changed.key?(column) }
          .transform_values { |column| changed[column] }
      end

      def self.stale_words(customer, changed)
        now = changed.keys.map { |name| "#{name.to_s.tr('_', ' ')}: “#{customer[name]}”" }.join(", ")
        "Somebody else saved this customer in the meantime. Now on file are #{now}. What you typed is kept below; " \
          "save again to put it in place."
      end
      private_class_method :agreed, :stale_words
    end
  end
end
