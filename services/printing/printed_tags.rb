# frozen_string_literal: true

module UprightBench
  module Services
    # The claim tags of machines that came in together. One is one page.
    class PrintedTags < Printed
      # @param job [Models::Job]
      # @param today [Date]
      # @return [Hash] as Papers::ClaimTag takes it
      def self.tag(job, today:)
        { number: job.number, code: "J#{job.number}", lines: [
          job.machine.sheet.title, job.customer.name, job.complaint, [stands(job, today),
                                                                      looking(job)].compact.join(", ")
        ] }
      end

      def self.stands(job, today)
        return "in #{Core::Units::Day.words(Config::Zone.date(job.taken_in_at))}" unless job.promise_at

        "ready #{Core::Units::Moment.words(Config::Zone.local(job.promise_at), today: today)}"
      end

      # @return [String, nil] what was agreed at intake
      def self.looking(job)
        "looking: up to #{Policies.now.currency.words(job.look_fee_cents)}" if job.look_fee_cents.positive?
      end
      private_class_method :stands, :looking

      # @param customer [Integer] id
      # @param from [Integer] number of the first job
      # @param to [Integer] and of the last
      def initialize(customer:, from:, to:)
        super()
        @jobs = Models::Job.where(customer_id: customer, number: from..to)
      end

      def name
        "tags"
      end

      def pages
        @pages ||= @jobs.count
      end

      def paper(part)
        found = slice(@jobs.order(:number).eager(:customer, machine: :sheet), part)
        Papers::ClaimTag.new(shop: shop_line, tags: found.map { |job| self.class.tag(job, today: today) })
      end
    end
  end
end
