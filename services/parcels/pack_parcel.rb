# frozen_string_literal: true

module UprightBench
  module Services
    # Packs parts for the post: they are sold, with the postage, and a parcel is written that goes to the address on
    # file. The same key twice is packed once.
    module PackParcel
      Whereto = Struct.new(*Formats::PostalAddress::FIELDS, keyword_init: true)
      private_constant :Whereto

      module_function

      # @param sale [Hash] as SellOverCounter takes it; `fitted` says where the parts will be put in
      # @param postage_cents [Integer]
      # @param card_id [Integer, nil] on which it was asked for
      # @return [Models::Parcel]
      # @raise [Invalid] without a customer or an address
      def call(sale, postage_cents:, by:, at:, card_id: nil)
        customer = sale[:customer] || raise(Invalid, { scan: ["Say whom it is for: begin from their page."] })
        address = where_to(customer, card_id)
        raise Invalid, { scan: ["There is no address on file: ask for it first."] } unless address.street

        DB.transaction do
          # nobody puts coins in a parcel
          way = Core::Money::Ways.coins?(sale[:way]) ? Core::Money::Ways::ON_ACCOUNT : sale[:way]
          bill = SellOverCounter.call(**sale, way: way, fitted: {}, postage_cents: postage_cents, by: by, at: at)
          Models::Parcel.first(bill_id: bill.id) || pack(bill, address, sale, card_id, by, at)
        end
      end

      # Where the card's answer says, else the address on file.
      # @return [Struct] with the fields of Formats::PostalAddress
      def where_to(customer, card_id)
        theirs = Models::Card.where(id: card_id, customer_id: customer.id).select(:id)
        asked = Models::Answer.first(kind: "send_part", card_id: theirs)
        fields = customer.values.slice(*Whereto.members)
        fields = { **fields.slice(:name), **asked.address.to_hash.transform_keys(&:to_sym) } if asked&.address
        Whereto.new(**fields)
      end

      def pack(bill, address, sale, card_id, by, at)
        Models::Parcel.create(bill_id: bill.id, customer_id: bill.customer_id, machine_id: sale[:machine]&.id,
          card_id: card_id, fitted: Sequel.pg_jsonb(sale[:fitted]), packed_at: at, packed_by: by.id,
          address: Sequel.pg_jsonb(Models::Shop.the.address_of(address).lines))
          .tap { |parcel| History.note("packed", parcel, by: by, at: at, data: { bill: bill.number }) }
      end
      private_class_method :pack, :where_to
    end
  end
end
