# frozen_string_literal: true

module UprightBench
  module Services
    # How many days parts take to come, from the orders that came: the newest arrivals of the part, and of its supplier.
    module LearnLeadTimes
      module_function

      # @param supplier [Models::Supplier]
      # @param parts [Array<Models::Part>] of which something came
      def call(supplier, parts)
        supplier.update(learned(supplier.lead_days, Sequel[:supplier_orders][:supplier_id] => supplier.id))
        parts.uniq.sort_by(&:id).each do |part|
          part.update(learned(part.lead_days || supplier.lead_days, part_id: part.id))
        end
      end

      # @return [Hash] columns of a part or a supplier
      def learned(stated_days, which)
        lead = Core::Shelf::LeadTime.new(stated_days: stated_days, arrived_days: arrived(which))
        { learned_lead_days: lead.call, learned_lead_spread_days: lead.spread.round(2) }
      end

      # A line counts once, when its first pieces came.
      # @return [Array<Integer>] whole days, rounded up; the newest first
      def arrived(which)
        rows = Models::OrderLine.join(:supplier_orders, id: :order_id)
          .join(first_arrivals, { order_line_id: Sequel[:order_lines][:id] }, table_alias: :came)
          .where(which).order(Sequel.desc(:came_at)).limit(Core::Shelf::LeadTime::NEWEST)
          .select_map(%i[ordered_at came_at])
        rows.map { |times| times.map { |time| Config::Zone.date(time) } }
          .map { |ordered_on, came_on| [(came_on - ordered_on).to_i, 0].max }
      end

      def first_arrivals
        Models::StockMove.exclude(order_line_id: nil).group(:order_line_id)
          .select(:order_line_id, Sequel.function(:min, :moved_at).as(:came_at))
      end
    end
  end
end
