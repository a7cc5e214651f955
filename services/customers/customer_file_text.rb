# frozen_string_literal: true

module UprightBench
  module Services
    # What is kept of one customer, in words that they can read.
    class CustomerFileText
      # @param customer [Models::Customer]
      def initialize(customer, at:)
        @customer = customer
        @shop = ShopOnFile.call
        @at = at
      end

      # @return [String]
      def call
        "#{[head, reached, agreed, *machines, cards, bills, foot].compact.join("\n\n")}\n"
      end

      private

      def day(value)
        value && Core::Units::Day.words(value.is_a?(Date) ? value : Config::Zone.date(value))
      end

      def section(heading, lines)
        lines = lines.compact
        [heading.upcase, *lines.map { |line| "  #{line}" }].join("\n") if lines.any?
      end

      def head
        "What #{@shop.name} keeps of #{@customer.name}, on #{day(@at)}."
      end

      def reached
        address = Formats::PostalAddress.of(@customer, from: @shop.country).lines
        section("You", [*address, Formats::PhoneNumber.shown(@customer.phone, @shop.country), @customer.email,
                        ("Number before: #{@customer.former_number}" if @customer.former_number),
                        *@customer.notes.to_s.lines(chomp: true).map { |line| "Note: #{line}" },
                        "On file since #{day(@customer.created_at)}"])
      end

      def agreed
        lines = @customer.consents_dataset.order(:id).map do |consent|
          words = Core::Cards::Channels.of(consent.channel).words
          "#{day(consent.at)}: #{words} #{consent.agreed ? 'agreed' : 'no longer'}, #{KeepConsent::HOW.fetch(consent.how)}"
        end
        section("What you agreed to", lines.empty? ? ["Nothing: no reminders are sent."] : lines)
      end

      def machines
        @customer.machines_dataset.eager(:sheet).map do |machine|
          lines = machine_lines(machine)
          section(machine.sheet.title, lines.any? ? lines : ["On file"])
        end
      end

      def machine_lines(machine)
        jobs = Models::Job.where(machine_id: machine.id, customer_id: @customer.id).order(:id)
        serial, bought = machine.values.values_at(:serial_number, :bought_on)
        [("Serial number #{serial}" if serial), ("Bought #{day(bought)}" if bought), household(machine),
         *jobs.map { |job| job_words(job) }, *notes(machine, jobs)].compact
      end

      def household(machine)
        traits = [*machine.traits.to_a.map { |trait| trait.tr("_", " ") }, ("allergy" if machine.allergy)].compact
        "At your home: #{traits.join(', ')}" if traits.any?
      end

      def job_words(job)
        done = Models::WorkItem.where(job_id: job.id).exclude(done_at: nil).count
        "#{day(job.taken_in_at)}: job #{job.number}, “#{job.complaint}”, #{done} things done" \
          "#{", handed over #{day(job.handed_over_at)}" if job.handed_over_at}"
      end

      def notes(machine, jobs)
        Models::Note.where(Sequel.|({ machine_id: machine.id }, { job_id: jobs.select(:id) })).order(:id)
          .map { |note| "Note: #{note.text}" }
      end

      def cards
        lines = @customer.cards_dataset.order(:id).eager(:lines).map do |card|
          tasks = card.named.size
          "#{day(card.created_at)}, #{Core::Cards::Channels.of(card.channel).words}: " \
            "#{tasks} #{tasks == 1 ? 'task' : 'tasks'}"
        end
        section("Reminders", lines)
      end

      def bills
        currency = Policies.now.currency
        lines = Models::Bill.where(customer_id: @customer.id).order(:id).map do |bill|
          "#{bill.title}, #{day(bill.issued_on)}: #{currency.words(bill.total_cents)}"
        end
        section("Bills", lines)
      end

      def foot
        "All of it, as data, stands in data.json beside this. If something is wrong in it, or you want to be " \
          "forgotten, tell us: #{[@shop.phone, @shop.email].reject { |text| text.to_s.empty? }.join(', ')}."
      end
    end
  end
end
