# frozen_string_literal: true

module UprightBench
  module Services
    # What the shop is called, where it is, and what its papers say of it.
    module KeepShop
      module_function

      # @param fields [Hash] columns of shops
      # @return [Models::Shop]
      def call(fields, by:, at:)
        Permissions.check!(:settings, by)
        DB.transaction do
          shop = Models::Shop.the
          shop.lock!
          changed = fields.reject { |name, value| shop[name] == value }
          next shop if changed.empty?

          shop.update(changed)
          History.note("changed the shop", shop, by: by, at: at, data: changed)
          shop
        end
      end
    end
  end
end
