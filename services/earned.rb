# frozen_string_literal: true

module UprightBench
  module Services
    # Free bench time for a customer who got a card and has the filter on it fitted from the shop's shelf: once for a card,
    # and once for a job.
    class Earned
      DAYS = 120 # from card to taking in, for the one to have brought the other (house rule)

      Free = Struct.new(:card_id, :minutes, :words)

      # @param items [Array<Models::WorkItem>] all of the job
      # @return [Free, nil]
      def self.of(job, items, policies:)
        minutes = policies.number("free_minutes_with_card")
        places = items.select { |item| item.action == "replace" && item.part_id && item.state != "left" && !item.covered }.map(&:position)
        return if minutes.zero? || places.empty?

        card, position = card(job, places)
        card && Free.new(card.id, minutes,
                         "the #{job.sheet.position(position).name.downcase} on the card of #{Config::Zone.date(card.created_at).strftime('%-d %b %Y')} is fitted here")
      end

      def self.card(job, places)
        taken = Models::Earning.where(card_id: Sequel[:cards][:id]).exclude(job_id: job.id)
        sent = Models::Card.where(customer_id: job.customer_id, created_at: (job.taken_in_at - (DAYS * 86_400))..job.taken_in_at).exclude(taken.select(1).exists)
        found = sent.from_self(alias: :cards).join(:card_lines, card_id: :id).join(:dues, id: :due_id)
                    .where(Sequel[:dues][:machine_id] => job.machine_id, Sequel[:dues][:position] => places)
        newest = found.order(Sequel.desc(Sequel[:cards][:id])).select_all(:cards).select_append(:position).first
        newest && [newest, newest[:position]]
      end
      private_class_method :card

      # Written down where it is agreed; the database refuses a card that earned for another job.
      def self.keep(job, items, at:, policies:)
        Models::Earning.where(job_id: job.id).delete
        free = of(job, items, policies: policies)
        Models::Earning.create(card_id: free.card_id, job_id: job.id, minutes: free.minutes, earned_at: at) if free
      end
    end
  end
end
