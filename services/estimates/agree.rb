# frozen_string_literal: true

module UprightBench
  module Services
    # Writes down what was agreed, by whom and how; at settling, and again whenever something came up that was not on
    # it.
    class Agree
      # Again, while the work goes on.
      # @return [Models::Estimate]
      # @raise [Refused, Invalid]
      def self.call(number, by:, at:, **agreed)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          raise Refused, "Job #{number} is #{job.state_words}: there is nothing to agree to now." unless job.agreed?

          estimate = new(job, by, at, **agreed).call
          History.note("agreed again", job, by: by, at: at, job: job, data: { total_cents: estimate.total_cents })
          job.update(Promises.give(job, at: at)) # whoever agrees to more hears when it will be ready
          estimate
        end
      end

      # @raise [Refused] while a part is not chosen
      def self.refuse_open_choice(job, items)
        names = to_choose(job.sheet, items)
        return if names.empty?

        left = names.one? ? "it as it is" : "them as they are"
        raise Refused, "Choose a part for #{English::List.of(names)}, or leave #{left}."
      end

      # @return [Array<String>] places for which a part is still to be chosen
      def self.to_choose(sheet, items)
        items.select { |item| item.to_do? && !item.chosen? }.map { |item| sheet.position(item.position).name.downcase }
      end

      # @param job [Models::Job] locked by the caller
      # @param by [Models::Person, Actor] who writes it down, or the customer on the page behind the tag's code
      # @param agreed_name [String] who agreed
      # @param agreed_how [String] counter, phone, message or page
      # @param call_above_cents [Integer, nil] up to this sum nobody need be called
      # @param warranty_name [String, nil] who agreed that the maker's warranty may end
      def initialize(job, by, at, agreed_name:, agreed_how:, call_above_cents: nil, warranty_name: nil,
        estimate_sent_id: nil)
        @job = job
        @by = by
        @at = at
        @agreed = { agreed_name: agreed_name, agreed_how: agreed_how, call_above_cents: call_above_cents,
                    warranty_name: warranty_name, estimate_sent_id: estimate_sent_id }
        @items = job.work_items_dataset.eager(:part).order(:sequence).all
      end

      # @return [Models::Estimate]
      # @raise [Refused] while a part is not chosen
      # @raise [Invalid] when the warranty may end and nobody agreed to that by name
      def call
        self.class.refuse_open_choice(@job, @items)
        refuse_ended_warranty
        SettleDue.leave_rest(@job, by: @by, at: @at)
        before = Quotes.agreed(@job)
        Earned.keep(@job, @items, at: @at)
        Models::Estimate.create(job_id: @job.id, version: (before&.version || 0) + 1, **amounts(before),
          agreed_at: @at, written_by: @by.id, **@agreed)
      end

      # @param before [Models::Estimate, nil] what was agreed last
      def amounts(before)
        held = Quotes.held(@job, today: Config::Zone.date(@at), agreed: before)
        quote = Quotes.of(@job, @items, held: held, policies: Policies.now)
        { lines: Sequel.pg_jsonb(quote.lines.map(&:to_h)), net_cents: quote.net_cents, tax_cents: quote.tax_cents,
          total_cents: quote.total_cents }
      end

      private

      # A part of another maker, or opening what the handbook leaves shut, may end it: the customer says so by name
      # before a hand goes in.
      def refuse_ended_warranty
        parts = Quotes.ends_warranty(@job, @items, today: Config::Zone.date(@at))
        return if parts.empty? || !@agreed[:warranty_name].to_s.empty?

        raise Invalid, { warranty_name: ["is needed: #{parts.join(' and ')} may end the maker's warranty"] }
      end
    end
  end
end
