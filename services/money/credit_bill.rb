# frozen_string_literal: true

module UprightBench
  module Services
    # Puts a bill right by a credit note: the bill stays as it is, and the note takes all of it back. What was paid is
    # owed to the customer then, and is given back or stands for the next bill.
    module CreditBill
      module_function

      # @param reason [String] as it stands on the note
      # @return [Models::Bill] the credit note; the one that there is, when it was taken back already
      # @raise [Invalid] without a reason
      # @raise [Refused] for a credit note
      def call(bill, reason:, by:, at:)
        Permissions.check!(:credits, by)
        raise Invalid, { reason: ["is needed: it stands on the credit note"] } if reason.to_s.strip.empty?
        raise Refused, "This is a credit note. Nothing takes it back." if bill.credit?

        DB.transaction do
          OneAtATime.wait("bill", bill.id) # a row of history cannot be locked
          bill.credit(reload: true) || MakeBill.new(by, at).credit(bill, reason.strip)
            .tap { |credit| back_on_shelf(bill, credit, by, at) }
        end
      end

      # What was sold over the counter comes back with its bill; the parts of a job do not.
      def back_on_shelf(bill, credit, by, at)
        Models::StockMove.where(bill_id: bill.id, kind: "sold").eager(:part).order(:id).all.each do |move|
          MoveStock.call(move.part, pieces: -move.pieces, kind: "returned", bill: credit, by: by, at: at)
        end
      end
      private_class_method :back_on_shelf
    end
  end
end
