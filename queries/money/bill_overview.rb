# frozen_string_literal: true

module UprightBench
  module Queries
    # A bill with what was paid and is owed.
    class BillOverview
      attr_reader :bill

      # @param bill [Models::Bill]
      def initialize(bill)
        @bill = bill
      end

      # @return [Array<Models::Payment>] of its job, or of itself
      def payments
        of = @bill.job_id ? { job_id: @bill.job_id } : { bill_id: @bill.credits_id || @bill.id }
        @payments ||= Models::Payment.where(of).eager(:taker).order(:id).all
      end

      # @return [Array<Models::Notice>] by which it was mailed, the newest first
      def mailed
        @mailed ||= Models::Notice.standing.where(bill_id: @bill.id).reverse(:id).limit(3).all
      end

      # @return [Integer] cents; negative where something is to be given back
      def owed_cents
        @owed_cents ||= Services::Balance.of(@bill)
      end
    end
  end
end
