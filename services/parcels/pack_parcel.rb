# frozen_string_literal: true

module UprightBench
  module Services
    # Packs parts for the post: they are sold, with the postage, and a parcel is written that goes to the address on
    # file. The same key twice is packed once.
    module PackParcel
      module_function

      # @param sale [Hash] as SellOverCounter takes it; `fitted` says where the parts will be put in
      # @param postage_cents [Integer]
      # @param card_id [Integer, nil] on which it was asked for
      # @return [Models::Parcel]
      # @raise [Invalid] without a customer or an address
      def call(sale, postage_cents:, by:, at:, card_id: nil)
        customer = sale[:customer] || raise(Invalid, { scan: ["Say whom it is for: begin from their page."] })
        raise Invalid, { scan: ["There is no address on file: ask for it first."] } unless customer.street

        DB.transaction do
          # nobody puts coins in a parcel
          way = sale[:way] == "cash" ? Core::Money::Ways::ON_ACCOUNT : sale[:way]
          bill = SellOverCounter.call(**sale, way: way, fitted: {}, postage_cents: postage_cents, by: by, at: at)
          Models::Parcel.first(bill_id: bill.id) || pack(bill, customer, sale, card_id, by, at)
        end
      end

      def pack(bill, customer, sale, card_id, by, at)
        Models::Parcel.create(bill_id: bill.id, customer_id: customer.id, machine_id: sale[:machine]&.id,
          card_id: card_id, fitted: Sequel.pg_jsonb(sale[:fitted]), packed_at: at, packed_by: by.id,
          address: Sequel.pg_jsonb(Models::Shop.the.address_of(customer).lines))
          .tap { |parcel| History.note("packed", parcel, by: by, at: at, data: { bill: bill.number }) }
      end
      private_class_method :pack
    end
  end
end
