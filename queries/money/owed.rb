# frozen_string_literal: true

module UprightBench
  module Queries
    # What is owed, bill by bill, the oldest first; and what is to be given back.
    class Owed
      # `bill` is the one that stands, or the last credit note; `cents` are negative where they are given back.
      Row = Struct.new(:bill, :cents, keyword_init: true)

      # What was only paid so far stands for a bill to come.
      def self.billed
        DB[:balances].exclude(cents: 0).exclude(last_bill_id: nil)
      end
      private_class_method :billed

      BILLED = Models::Prepared.new(:balances_billed) { billed }
      OF_CUSTOMER = Models::Prepared.new(:balances_of_a_customer) do
        billed.where(last_bill_id: Models::Bill.where(customer_id: :$customer_id).select(:id))
      end
      private_constant :BILLED, :OF_CUSTOMER

      # @param customer_id [Integer, nil] of this customer only
      def initialize(customer_id: nil)
        @customer_id = customer_id
      end

      # @return [Array<Row>]
      def rows
        @rows ||= begin
          owed = balances.to_h { |balance| balance.values_at(:last_bill_id, :cents) }
          bills_of(owed.keys).map { |bill| Row.new(bill: bill, cents: owed.fetch(bill.id)) }
        end
      end

      # @return [Array<Row>]
      def open
        rows.select { |row| row.cents.positive? }
      end

      # What was paid for a job that is not over yet stands for its next bill.
      # @return [Array<Row>]
      def to_give_back
        rows.select { |row| row.cents.negative? && !row.bill.job&.in_shop? }
      end

      # @param on [Date]
      # @return [Hash{String=>Integer}] words => cents, in steps of Core::Money::Age
      def by_age(on)
        sums = open.group_by { |row| Core::Money::Age.step(row.bill.age_days(on)) }
        Core::Money::Age::STEPS.to_h { |step, words| [words, sums.fetch(step, []).sum(&:cents)] }
      end

      private

      def bills_of(ids)
        return [] if ids.empty?

        Models::Bill.where(id: ids).eager(:customer, :job).order(:issued_on, :number).all
      end

      def balances
        @customer_id ? OF_CUSTOMER.all(customer_id: @customer_id) : BILLED.all
      end
    end
  end
end
