# frozen_string_literal: true

module UprightBench
  module Services
    # Sends a bill by e-mail, as PDF, to a customer who agreed to get it so.
    class MailBill
      # @param bill [Models::Bill]
      # @param agreed [Boolean] they say so now, for this bill and those to come
      # @return [Models::Notice] the one that still waits, where it was asked for already
      # @raise [Refused] without an address
      # @raise [Invalid] when they did not agree
      def self.call(bill, by:, at:, agreed: false)
        DB.transaction do
          OneAtATime.wait("bill", bill.id)
          Models::Notice.first(bill_id: bill.id, state: %w[waiting handing_over]) || new(bill, by, at).call(agreed)
        end
      end

      # Where the customer gets bills so; nothing else happens.
      def self.if_agreed(bill, by:, at:)
        call(bill, by: by, at: at) if bill&.customer&.bills_by_mail && bill.customer.email
      end

      def initialize(bill, by, at)
        @bill = bill
        @customer = bill.customer
        @by = by
        @at = at
      end

      def call(agreed)
        raise Refused, "There is no e-mail address for this bill." unless @customer&.email

        agree if agreed
        raise Invalid, { agreed: ["Ask them first: tick it when they agree."] } unless @customer.bills_by_mail

        Models::Notice.create(bill_id: @bill.id, kind: "bill", channel: "email", recipient: @customer.email,
          subject: said.subject, body: said.body, asked_by: @by.id, asked_at: @at)
          .tap { |notice| Tell::Work.enqueue(notice.id) }
      end

      private

      def agree
        return if @customer.bills_by_mail

        @customer.update(bills_by_mail: true)
        History.note("agreed to bills by mail", @customer, by: @by, at: @at)
      end

      def said
        shop = Models::Shop.the
        @said ||= Core::Cards::Notice.new(kind: :bill, words: Words.new(shop: shop).of(@customer.language),
          values: { customer: @customer.name, bill: @bill.title, shop: shop.name, phone: shop.phone,
                    total: Policies.now.currency.words(@bill.total_cents) })
      end
    end
  end
end
