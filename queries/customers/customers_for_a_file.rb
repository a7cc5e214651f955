# frozen_string_literal: true

module UprightBench
  module Queries
    # All customers with their machines, for a file: read in pieces, however many there are.
    class CustomersForAFile
      AT_ONCE = 1000

      CUSTOMER = [:name, :phone, :email, :street, :town, :region, :postcode, :country, :notes, :fleet,
                  *Core::Cards::Channels::ALL.map(&:agreed_column)].freeze

      # @yieldparam row [Hash{Symbol=>Object}] columns of Formats::CustomerList
      def each(&)
        rows.paged_each(rows_per_fetch: AT_ONCE, &)
      end

      # @return [Enumerator] customers alone
      def customers
        Enumerator.new do |out|
          Models::Customer.where(forgotten_on: nil).order(:id).paged_each(rows_per_fetch: AT_ONCE) { |row| out << row }
        end
      end

      private

      # The number is the one from before, or ours: a list that is read again parts its customers by it.
      def rows # rubocop:disable Metrics/AbcSize -- one query
        DB[Sequel[:customers].as(:c)].where(forgotten_on: nil)
          .left_join(Models::Machine.where(state: %w[in_use stored]), { customer_id: Sequel[:c][:id] }, table_alias: :m)
          .left_join(:sheets, { id: Sequel[:m][:sheet_id] }, table_alias: :s)
          .order(Sequel[:c][:id], Sequel[:m][:id])
          .select(Sequel.function(:coalesce, :former_number, Sequel.cast(Sequel[:c][:id], String)).as(:customer_number),
            *CUSTOMER.map { |name| Sequel[:c][name] }, agreed_on.as(:agreed_on),
            Sequel[:s][:maker], Sequel[:s][:model_name].as(:model),
            *%i[serial_number bought_on hours_per_week].map do |name|
              Sequel[:m][name]
            end, last_service.as(:last_service_on))
      end

      # When it was handed over last, or when the newest of its clocks began: before, or elsewhere.
      def last_service
        here = { machine_id: Sequel[:m][:id] }
        Sequel.function(:greatest,
          Models::Job.where(here).exclude(handed_over_at: nil).select(Sequel.function(:max, day(:handed_over_at))),
          Models::Due.running.where(here).select(Sequel.function(:max, :started_on)))
      end

      def agreed_on
        Models::Consent.where(customer_id: Sequel[:c][:id], agreed: true).select(Sequel.function(:max, day(:at)))
      end

      def day(column)
        Config::Zone.date_of(column)
      end
    end
  end
end
