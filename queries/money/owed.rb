# frozen_string_literal: true

module UprightBench
  module Queries
    # What is owed, bill by bill, the oldest first; and what is to be given back.
    class Owed
      # `bill` is the one that stands, or the last credit note; `cents` are negative where they are given back.
      Row = Struct.new(:bill, :cents, keyword_init: true)

      # @param customer_id [Integer, nil] of this customer only
      def initialize(customer_id: nil)
        @customer_id = customer_id
      end

      # @return [Array<Row>]
      def rows
        @rows ||= begin
          owed = of_jobs.merge(of_counter)
          bills = Models::Bill.where(id: owed.keys).eager(:customer, :job).order(:issued_on, :number).all
          bills.map { |bill| Row.new(bill: bill, cents: owed.fetch(bill.id)) }
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

      # @return [Hash{Integer=>Integer}] id of the last bill of a job => cents
      def of_jobs
        left(bills.exclude(job_id: nil), Sequel[:job_id], Models::Payment.exclude(job_id: nil), :job_id)
      end

      # @return [Hash{Integer=>Integer}] id of a bill without a job, or of what took it back => cents
      def of_counter
        first = Sequel.function(:coalesce, :credits_id, :id)
        left(bills.where(job_id: nil), first, Models::Payment.exclude(bill_id: nil), :bill_id)
      end

      # What was billed for one thing less what was paid for it, where that is not nothing.
      def left(bills, of, payments, paid_for) # rubocop:disable Metrics/AbcSize -- one query
        billed = bills.group(of).select(of.as(:of), Sequel.function(:max, :id).as(:id), sum(:total_cents))
        paid = payments.group(paid_for).select(Sequel[paid_for].as(:of), sum(:cents))
        cents = Sequel[:billed][:sum] - Sequel.function(:coalesce, Sequel[:paid][:sum], 0)
        DB.from(billed.as(:billed)).left_join(paid.as(:paid), of: Sequel[:billed][:of]).exclude(cents => 0)
          .select(Sequel[:billed][:id], cents.cast(Integer).as(:cents)).as_hash(:id, :cents)
      end

      def sum(column)
        Sequel.function(:sum, column).as(:sum)
      end

      def bills
        @customer_id ? Models::Bill.where(customer_id: @customer_id) : Models::Bill.dataset
      end
    end
  end
end
