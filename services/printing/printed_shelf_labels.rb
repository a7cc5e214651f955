# frozen_string_literal: true

module UprightBench
  module Services
    # Labels for the shelf: of one part, of all that an order brought, or of those whose name or number has some words
    # in it. One is one page.
    class PrintedShelfLabels < Printed
      # @param part [Integer, nil] its id
      # @param order [Integer, nil] its number
      # @param query [String]
      def initialize(part: nil, order: nil, query: "")
        super()
        @part = part
        @order = order
        @query = query
      end

      def name
        "shelf-labels"
      end

      def pages
        @pages ||= labelled.count
      end

      def paper(part)
        found = slice(labelled.order(:number), part)
        Papers::ShelfLabel.new(shop: shop_line, labels: found.map do |part|
          { name: part.name, number: part.number, price: Policies.now.currency.words(part.price_cents) }
        end)
      end

      private

      # Bars are for numbers of plain letters.
      def labelled
        chosen.where(Sequel.lit("number ~ '^[ -~]+$'"))
      end

      def parts_of_order
        Models::OrderLine.where(order_id: Models::SupplierOrder.where(number: @order).select(:id)).select(:part_id)
      end

      def chosen
        return Models::Part.where(id: @part) if @part
        return Models::Part.where(id: parts_of_order) if @order

        Models::Part.called(@query)
      end
    end
  end
end
