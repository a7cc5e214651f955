# frozen_string_literal: true

module UprightBench
  module Queries
    # The money of one day: what was taken by which way, what was billed, and the drawer.
    class MoneyDay
      MOST = 200

      # @param on [Date]
      def initialize(on)
        @on = on
      end

      attr_reader :on

      # @return [Hash{String=>Integer}] way => cents over the counter
      def takings
        sums = Models::Payment.where(paid_on: @on).group(:way)
          .select_hash(:way, Sequel.function(:sum, Sequel[:cents] + Sequel[:rounded_cents]).cast(Integer).as(:cents))
        Core::Money::Ways::WORDS.keys.to_h { |way| [way, sums.fetch(way, 0)] }
      end

      # @return [Array<Models::Bill>] the newest first
      def bills
        @bills ||= Models::Bill.where(issued_on: @on).eager(:customer, :job).reverse(:number).limit(MOST).all
      end

      # @return [Array<Models::Payment>] the newest first
      def payments
        @payments ||= Models::Payment.where(paid_on: @on).eager(:taker, :job, :bill).reverse(:id).limit(MOST).all
      end

      # @return [Integer] cents that should lie in the drawer now
      def expected_cents
        Services::CountDrawer.expected
      end

      # @return [Models::DrawerCount, nil]
      def last_count
        Models::DrawerCount.reverse(:id).eager(:counter).first
      end
    end
  end
end
