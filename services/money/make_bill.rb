# frozen_string_literal: true

module UprightBench
  module Services
    # Writes a bill, as a row that never changes: who it is from and for, its lines, the tax by rate, the total. Its
    # number is the next one.
    class MakeBill
      # Of what was done in a job. Nothing is written where nothing is charged.
      # @param job [Models::Job] locked by the caller
      # @return [Models::Bill, nil] the one that stands, where there is one already
      def self.of_job(job, by:, at:, policies: Policies.now)
        standing = Models::Bill.standing.first(job_id: job.id) and return standing

        done = job.work_items_dataset.eager(:part).order(:sequence).all.select { |item| item.state == "done" }
        quote = Quotes.of(job, done, held: Quotes.agreed(job), policies: policies)
        return if quote.lines.empty?

        new(by, at).call(quote, customer: job.customer, about: about(job), job_id: job.id)
      end

      # @return [Array<String>] machine, serial number, job, and that it is not mended
      def self.about(job)
        serial = job.machine.serial_number
        [job.machine.sheet.title, ("Serial no. #{serial}" if serial), "Job #{job.number}",
         ("Not mended: #{job.not_mended_reason}" if job.not_mended_reason)].compact
      end

      def initialize(by, at)
        @by = by
        @at = at
      end

      # @param quote [Core::Money::Estimate]
      # @param customer [Models::Customer, nil] nil for somebody at the counter whom nobody knows
      # @param about [Array<String>] what it is for
      # @param more [Hash] job_id, request_key
      # @return [Models::Bill]
      def call(quote, customer:, about:, **more)
        bill = Models::Bill.create(kind: "bill", customer_id: customer&.id, about: Sequel.pg_jsonb(about), **more,
          **priced(quote), net_cents: quote.net_cents, tax_cents: quote.tax_cents, total_cents: quote.total_cents,
          **heads(customer), **issued).refresh
        History.note("billed", bill, by: @by, at: @at, job: bill.job, data: { number: bill.number,
                                                                              total_cents: bill.total_cents })
        bill
      end

      # Takes a bill back, line by line and to the cent.
      # @param bill [Models::Bill] that nobody else takes back meanwhile
      # @return [Models::Bill]
      def credit(bill, reason)
        sums = %i[net_cents tax_cents total_cents].to_h { |sum| [sum, -bill[sum]] }
        same = bill.values.slice(:job_id, :customer_id, :machine_id, :billed_to, :parties, :about, :lines, :taxes,
          :rates)
        credit = Models::Bill.create(kind: "credit", credits_id: bill.id, reason: reason, shop: shop_now, **same,
          **sums, **issued).refresh
        History.note("credited", bill, by: @by, at: @at, job: bill.job, data: { number: credit.number, reason: reason })
        credit
      end

      private

      def priced(quote)
        rates = quote.policy.taxed.to_h { |taxed_as| [taxed_as, quote.policy.percent(taxed_as)] }
        { lines: Sequel.pg_jsonb(quote.lines.map(&:to_h)), taxes: Sequel.pg_jsonb(quote.tax_rows.map(&:to_h)),
          rates: Sequel.pg_jsonb(rates) }
      end

      def heads(customer)
        shop = Models::Shop.the
        parties = { seller: party(shop).merge(tax_number: shop.tax_number), buyer: (party(customer) if customer) }
        { billed_to: Sequel.pg_jsonb(customer ? shop.address_of(customer).lines : []), shop: shop_now,
          parties: Sequel.pg_jsonb(parties.compact) }
      end

      # A customer without a country lives in the shop's.
      def party(whose)
        fields = whose.values.slice(:name, :street, :town, :region, :postcode, :country)
        fields.merge(country: whose.country || Models::Shop.the.country)
      end

      # As it stands on the bill for ever.
      def shop_now
        shop = Models::Shop.the
        Sequel.pg_jsonb({ lines: [*shop.address_of(shop).lines, shop.phone].reject { |line| line.to_s.empty? },
                          tax_number: shop.tax_number })
      end

      def issued
        { issued_on: Config::Zone.date(@at), issued_at: @at, issued_by: @by.id }
      end
    end
  end
end
