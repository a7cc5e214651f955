# frozen_string_literal: true

module UprightBench
  module Models
    # What was charged, as it was printed; or a credit note, which takes a bill back. Never changed.
    class Bill < Sequel::Model(:bills)
      include Core::Money::Priced

      many_to_one :job
      many_to_one :customer
      many_to_one :issuer, class: "UprightBench::Models::Person", key: :issued_by
      many_to_one :credited, class: "UprightBench::Models::Bill", key: :credits_id
      one_to_one :credit, class: "UprightBench::Models::Bill", key: :credits_id
      one_to_many :payments, order: :id

      dataset_module do
        # Bills that no credit note took back.
        def standing
          credits = Bill.exclude(credits_id: nil).select(:credits_id)
          where(Sequel[:bills][:kind] => "bill").exclude(Sequel[:bills][:id] => credits)
        end
      end

      def credit?
        kind == "credit"
      end

      # @return [String] as in "Bill 12"
      def title
        "#{credit? ? 'Credit note' : 'Bill'} #{number}"
      end

      # @return [Array<Core::Money::Line>]
      def to_lines
        @to_lines ||= Estimate.read_lines(lines)
      end

      # @return [Array<Core::Money::TaxRow>]
      def tax_rows
        taxes.map { |row| Core::Money::TaxRow.new(**row.to_hash.transform_keys(&:to_sym)) }
      end

      # @param line [Core::Money::Line]
      # @return [String] the rate of its tax, as the bill's rows have it
      def percent_of(line)
        rates[line.taxed_as]
      end

      # @param on [Date]
      # @return [Integer] days since it was issued
      def age_days(on)
        (on - issued_on).to_i
      end
    end
  end
end
