# frozen_string_literal: true

module UprightBench
  module Outbox
    # The words of a card: of one that was written, or of one that is about to be.
    module CardLetter
      module_function

      # @param card [Models::Card]
      # @return [Core::Cards::Letter]
      def of(card)
        dues = Models::Due.where(id: card.lines.map(&:due_id)).eager(machine: :sheet).order(:due_on, :id).all
        rows = dues.map { |due| line(due.machine.sheet.title, due, Config::Zone.date(card.created_at)) }
        letter(card.customer.name, rows, link(card), card.attempt)
      end

      # @param rows [Array<#position_name, #action, #due_on, #machine_title, #customer_name>] as in Services::DueBook
      # @param attempt [Integer]
      # @param today [Date]
      def preview(rows, attempt, today)
        letter(rows.first.customer_name, rows.map { |row| line(row.machine_title, row, today) }, "#{SETTINGS.public_url}/c/…", attempt)
      end

      # @return [String] the customer's page
      def link(card)
        "#{SETTINGS.public_url}/c/#{codes.write(card.id, card.code_expires_on)}"
      end

      def codes
        Formats::SignedCode.new(SETTINGS.session_secret, "card code")
      end

      def line(machine, due, today)
        Core::Cards::Letter::Line.new(machine: machine, part: due.position_name, action: due.action, due_on: due.due_on,
                                      overdue: due.due_on < today)
      end

      def letter(customer, lines, link, attempt)
        shop = Models::Shop.the
        Core::Cards::Letter.new(customer: customer, shop: shop.name, shop_phone: shop.phone, lines: lines, link: link, attempt: attempt)
      end
    end
  end
end
