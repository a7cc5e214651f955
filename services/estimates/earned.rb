# frozen_string_literal: true

module UprightBench
  module Services
    # Free bench time for a customer whose card offered it, who comes within the offer's days and has the filter on the
    # card fitted from the shop's shelf: once for a card, and once for a job.
    class Earned
      DAYS = 120 # from card to taking in, for the one to have brought the other (house rule)

      Free = Struct.new(:card_id, :minutes, :words)

      # @param items [Array<Models::WorkItem>] all of the job
      # @return [Free, nil]
      def self.of(job, items)
        bought = items.select { |item| bought?(item) }
        cards = bought.empty? ? [] : cards(job, bought.map(&:position))
        return if cards.empty?

        good = as_good(job, bought).map(&:position)
        card = cards.find { |one| good.include?(one[:position]) }
        card && Free.new(card[:id], card[:minutes], words(job, card))
      end

      def self.bought?(item)
        item.action == "replace" && item.part_id && item.state != "left" && !item.covered
      end

      # A plain sheet in the place of a cassette does not earn what the cassette would.
      def self.as_good(job, items) # rubocop:disable Metrics/AbcSize -- one query
        before = Models::Fitting.where(machine_id: job.machine_id, position: items.map(&:position))
          .where(Sequel.|({ Sequel[:fittings][:job_id] => nil }, Sequel.~(Sequel[:fittings][:job_id] => job.id)))
          .join(:parts, id: :part_id).order(Sequel[:fittings][:id]).select_hash(:position, :filter_class)
        items.select { |item| Core::Fit::FilterClass.as_good?(item.part&.filter_class, before[item.position]) }
      end

      def self.words(job, card)
        "the #{job.sheet.position(card[:position]).name.downcase} on the card of " \
          "#{Core::Units::Day.words(Config::Zone.date(card[:created_at]))} is fitted here"
      end
      private_class_method :bought?, :as_good, :words

      # Of cards that earned for no other job. An offer that the owner ended holds for the cards that named it.
      CARDS = Models::Prepared.new(:cards_that_earn) { DB[<<~SQL, *%i[$customer $from $till $on $machine $places $job]] }
        SELECT cards.id, cards.created_at, offers.minutes, dues.position FROM cards
        JOIN offers ON offers.id = cards.offer_id
        JOIN card_lines ON card_lines.card_id = cards.id AND NOT card_lines.void
        JOIN dues ON dues.id = card_lines.due_id
        WHERE cards.customer_id = ? AND cards.created_at BETWEEN ? AND ? AND ? BETWEEN offers.starts_on AND offers.ends_on
          AND dues.machine_id = ? AND dues.position = ANY(?)
          AND NOT EXISTS (SELECT FROM earnings WHERE earnings.card_id = cards.id AND earnings.job_id <> ?)
        ORDER BY cards.id DESC, dues.position
      SQL
      private_constant :CARDS

      # @return [Array<Hash>] for each place that a card of theirs named, the newest first
      def self.cards(job, places)
        CARDS.all(customer: job.customer_id, from: job.taken_in_at - (DAYS * 86_400), till: job.taken_in_at,
          on: Config::Zone.date(job.taken_in_at), machine: job.machine_id, places: Sequel.pg_array(places, :text),
          job: job.id)
      end
      private_class_method :cards

      # Written down where it is agreed; the database refuses a card that earned for another job.
      def self.keep(job, items, at:)
        Models::Earning.where(job_id: job.id).delete
        free = of(job, items)
        Models::Earning.create(card_id: free.card_id, job_id: job.id, minutes: free.minutes, earned_at: at) if free
      end
    end
  end
end
