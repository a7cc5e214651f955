# frozen_string_literal: true

module UprightBench
  module Services
    # What is short on the shelf, and how many to order of it.
    class Short
      Row = Struct.new(:part, :order, :forecast, keyword_init: true) do
        # @return [Integer]
        def pieces
          order.pieces
        end

        # @return [Integer, nil] what they cost the shop
        def cost_cents
          part.cost_cents && (part.cost_cents * pieces)
        end
      end

      # @return [Array<Row>] those that need ordering, by supplier and number
      def self.rows
        figures = MAY_BE_SHORT.all.to_h { |figure| [figure[:id], figure] }
        rows = with_parts(figures).select { |row| row.pieces.positive? }
        rows.sort_by { |row| [row.part.supplier&.name || "~", row.part.number] }
      end

      # @param figures [Hash{Integer=>Hash}] by the part's id
      def self.with_parts(figures)
        parts = Models::Part.where(id: figures.keys, discontinued: false).eager(:supplier).to_hash(:id)
        forecasts = Models::PartForecast.where(part_id: figures.keys).to_hash(:part_id)
        parts.map { |id, part| row(figures.fetch(id), part, forecasts[id]) }
      end
      private_class_method :with_parts

      # @return [Core::Shelf::Order] of any part, whether it is short or not
      def self.order_of(part, forecast)
        figures = figures_of(Models::Part.where(Sequel[:parts][:id] => part.id)).naked.first
        row(figures, part, forecast).order
      end

      def self.row(figures, part, forecast)
        order = Core::Shelf::Order.new(level: figures[:level], on_shelf: figures[:on_shelf], claimed: figures[:claimed],
          on_order: figures[:on_order],
          pack_pieces: part.pack_pieces)
        Row.new(part: part, order: order, forecast: forecast)
      end
      private_class_method :row

      # The database leaves out the many that are not short; how many to order of the others, the core says.
      MAY_BE_SHORT = Models::Prepared.new(:parts_that_may_be_short) do
        figures_of(asked_for).from_self(alias: :parts).where { level + claimed > on_shelf + on_order }
      end
      private_constant :MAY_BE_SHORT

      # @return [Sequel::Dataset] ids of those that may be short: there are fewer than should be kept, or some are
      #   claimed
      def self.asked_for
        forecast = Sequel[:part_forecasts]
        DB[:part_forecasts].left_join(:stock_levels, part_id: forecast[:part_id])
          .where(forecast[:level] > Sequel.function(:coalesce, Sequel[:stock_levels][:pieces], 0))
          .select(forecast[:part_id].as(:id))
          .union(ReservedParts.all.select(:part_id), alias: :parts)
      end
      private_class_method :asked_for

      FIGURES = { level: Sequel[:part_forecasts][:level], on_shelf: Sequel[:stock_levels][:pieces],
                  claimed: Sequel[:reserved][:pieces], on_order: Sequel[:coming][:pieces] }.freeze
      # Of an order's line: what has not come.
      LEFT = Sequel.function(:greatest, Sequel[:order_lines][:pieces] - Sequel.function(:coalesce,
        Sequel[:came][:pieces], 0), 0)
      private_constant :FIGURES, :LEFT

      def self.figures_of(parts)
        id = Sequel[:parts][:id]
        parts.left_join(:part_forecasts, part_id: id).left_join(:stock_levels, part_id: id)
          .left_join(ReservedParts.all, { part_id: id }, table_alias: :reserved)
          .left_join(coming, { part_id: id }, table_alias: :coming)
          .select(id, *FIGURES.map { |name, column| Sequel.function(:coalesce, column, 0).as(name) })
      end
      private_class_method :figures_of

      # What was ordered and did not come yet.
      def self.coming
        came = Models::StockMove.exclude(order_line_id: nil).group(:order_line_id)
          .select(:order_line_id, Sequel.function(:sum, :pieces).as(:pieces))
        lines = Models::OrderLine.join(Models::SupplierOrder.waiting, { id: :order_id }, table_alias: :orders)
          .left_join(came, { order_line_id: Sequel[:order_lines][:id] }, table_alias: :came)
        lines.group(:part_id).select(:part_id, Sequel.function(:sum, LEFT).cast(Integer).as(:pieces))
      end
      private_class_method :coming
    end
  end
end
