# frozen_string_literal: true

module UprightBench
  module Outbox
    # The words of many cards at once, each in its customer's language; read in a few queries however many they are.
    class Letters
      # @param card [Models::Card]
      # @return [Core::Cards::Letter] as it was sent, when it was
      def self.of(card)
        new([card]).of(card).with(said: card.message&.said&.to_hash)
      end

      # @param card [Models::Card]
      # @return [String] the customer's page
      def self.link(card)
        "#{SETTINGS.public_url}/c/#{codes.write(card.id, card.code_expires_on)}"
      end

      def self.codes
        @codes ||= Formats::SignedCode.new(SETTINGS.keys.accepted(:cards))
      end

      # @param cards [Array<Models::Card>]
      # @param hours [Hash, nil] when the shop is open; as it is kept, when nil
      # @param prices [Hash{Integer=>Integer}, nil] due => cents; as written with the cards, when nil
      def initialize(cards, shop: Models::Shop.the, hours: nil, prices: nil)
        @shop = shop
        @hours = hours
        @prices = prices
        @words = Models::Wording.words
        @lines = Models::CardLine.where(card_id: cards.map(&:id)).all.group_by(&:card_id)
        @dues = Models::Due.where(id: @lines.values.flatten.map(&:due_id)).eager(machine: :sheet)
          .all.to_h { |due| [due.id, due] }
        @offers = Models::Offer.where(id: cards.filter_map(&:offer_id).uniq).as_hash(:id)
      end

      # @return [Core::Cards::Letter] of what it names
      # @raise [Core::Cards::Wording::Missing] only when its text is asked for
      def of(card)
        letter(card.customer, lines_of(card), self.class.link(card), card.attempt, @offers[card.offer_id])
      end

      # Of a card that is about to be written; its code opens nothing yet, and is as long as it will be.
      # @param customer [Models::Customer]
      # @param prices [Hash{Integer=>Integer}] of some dues, tax included
      # @param rows [Array<#position_name, #action, #due_on, #machine_id, #machine_title, #plate>] as in
      #   Services::DueBook
      # @param offer [Models::Offer, nil]
      def preview(customer, rows, attempt:, offer:, today:, prices: {})
        rows = Core::Cards::DropCovered.from(rows)
        names = names(rows.map { |row| [row.machine_id, row.machine_title, row.serial_number] })
        letter(customer, rows.map { |row| line(names.fetch(row.machine_id), row, today, prices[row.task.id]) },
          "#{SETTINGS.public_url}/c/#{self.class.codes.write(0, today)}", attempt, offer)
      end

      FAR = Date.new(9999)
      private_constant :FAR

      private

      def lines_of(card)
        dues = dues_of(card)
        names = names(dues.map(&:machine).map { |machine| [machine.id, machine.sheet.title, machine.serial_number] })
        prices = prices_on(card)
        written = Config::Zone.date(card.created_at)
        dues.map { |due| line(names.fetch(due.machine_id), due, written, prices[due.id]) }
      end

      # @return [Hash{Integer=>Integer, nil}] due => cents
      def prices_on(card)
        @prices || @lines.fetch(card.id, []).to_h { |line| [line.due_id, line.price_cents] }
      end

      # @return [Array<Models::Due>] what it names, the soonest first
      def dues_of(card)
        named = card.named(@lines.fetch(card.id, [])).map { |line| @dues.fetch(line.due_id) }
        Core::Cards::DropCovered.from(named.sort_by { |due| [due.due_on || FAR, due.id] })
      end

      # Who has two of one model reads which of them, by its serial number.
      # @param machines [Array<Array(Integer, String, String)>] id, title and serial number, of each task
      # @return [Hash{Integer=>String}] by id
      def names(machines)
        machines.uniq.group_by { |_, title, _| title }.values.each_with_object({}) do |alike, names|
          alike.each do |id, title, serial_number|
            names[id] = alike.one? ? title : [title, serial_number].compact.join(" ")
          end
        end
      end

      # @param machine [String] how it is told from the others
      def line(machine, due, today, price_cents)
        told = Core::Clocks::Due.told(due.action, due.deciding)
        Core::Cards::Letter::Line.new(machine: machine, part: due.position_name, action: told,
          due_on: due.due_on || today, overdue: !due.due_on.nil? && due.due_on < today,
          price_cents: (price_cents if told.to_sym == :replace))
      end

      # Read once, when a text says them.
      def hours
        @hours ||= if @words.each_value.any? { |words| words.say?(:hours) }
                     in_force.open_hours
                   else
                     {}
                   end
      end

      def currency
        @currency ||= in_force.currency
      end

      def in_force
        @in_force ||= Core::Policies::InForce.new(Models::Policy.select_hash(:key, :value))
      end

      def letter(customer, lines, link, attempt, offer)
        Core::Cards::Letter.new(customer: customer.name, shop: @shop.name, shop_phone: @shop.phone, lines: lines,
          link: link, attempt: attempt, hours: hours, currency: currency,
          words: @words.fetch(customer.language) { @words.fetch(Models::Wording::ENGLISH) },
          offer: offer && { minutes: offer.minutes, until: offer.ends_on })
      end
    end
  end
end
