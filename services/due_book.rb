# frozen_string_literal: true

module UprightBench
  module Services
    # What falls due, as the cards see it: one query, then the core bundles it by customer.
    class DueBook
      # One open due with what a screen or a card says about it; `task` and `address` are what the core asks for.
      Row = Struct.new(:task, :customer_id, :customer_name, :address, :machine_id, :machine_title, :plate, :position_name, :action, :due_on,
                       keyword_init: true)

      # @param today [Date]
      # @param customer_id [Integer, nil] of one customer only
      # @param until_on [Date, nil] dues up to this day; the last that can be on a card today when left out
      def initialize(today:, policy: Policies.now.cards, customer_id: nil, until_on: nil)
        @today = today
        @policy = policy
        @customer_id = customer_id
        @until_on = until_on || (today + [policy.post_lead_days, policy.email_lead_days].max + policy.bundle_days)
      end

      # @return [Array<Row>] soonest first
      def rows
        @rows ||= dataset.all.map { |due| row(due) }
      end

      # @return [Hash{Integer=>Row}] by the due's id
      def by_id
        @by_id ||= rows.to_h { |row| [row.task.id, row] }
      end

      # @return [Array<Core::Cards::Bundle>] one for each customer, soonest to leave first
      def bundles
        made = rows.group_by(&:customer_id).map do |customer_id, rows|
          Core::Cards::Bundle.new(customer_id: customer_id, tasks: rows.map(&:task), address: rows.first.address, policy: @policy, today: @today)
        end
        made.select { |bundle| bundle.lines.any? }.sort_by { |bundle| [bundle.leaves_on, bundle.customer_id] }
      end

      private

      CUSTOMER = %i[email street email_agreed post_agreed stopped_on].freeze
      private_constant :CUSTOMER

      def dataset
        found = Models::Due.running.where(may_card: true).where(Sequel[:dues][:due_on] <= @until_on)
                           .join(:machines, id: :machine_id).join(:customers, id: Sequel[:machines][:customer_id])
                           .join(:sheets, id: Sequel[:machines][:sheet_id]).exclude(Sequel[:machines][:state] => %w[sold scrapped])
                           .left_join(sent, { due_id: Sequel[:dues][:id] }, table_alias: :sent)
        found = found.where(Sequel[:machines][:customer_id] => @customer_id) if @customer_id
        found.select_all(:dues).select_append(*columns).order(Sequel[:dues][:due_on], Sequel[:dues][:id]).naked
      end

      def columns
        CUSTOMER.map { |name| Sequel[:customers][name] } +
          [Sequel[:customers][:name].as(:customer_name), Sequel[:machines][:customer_id], Sequel[:machines][:plate],
           Sequel[:machines][:state].as(:machine_state), Sequel.join([:maker, :model_name], " ").as(:machine_title),
           Sequel[:sent][:attempts], Sequel[:sent][:carded_at], on_bench.as(:on_bench)]
      end

      def sent
        Models::CardLine.join(:cards, id: :card_id).group(:due_id)
                        .select(:due_id, Sequel.function(:max, Sequel[:card_lines][:attempt]).as(:attempts),
                                Sequel.function(:max, Sequel[:cards][:created_at]).as(:carded_at))
      end

      def on_bench
        Models::Job.in_shop.where(machine_id: Sequel[:dues][:machine_id]).select(1).exists
      end

      def row(due)
        Row.new(task: task(due), address: address(due),
                **due.slice(:customer_id, :customer_name, :machine_id, :machine_title, :plate, :position_name, :action, :due_on))
      end

      def task(due)
        Core::Cards::DueTask.new(id: due[:id], attempts: due[:attempts] || 0, carded_on: due[:carded_at] && Config::Zone.date(due[:carded_at]),
                                 machine_state: due[:machine_state].to_sym,
                                 **due.slice(:customer_id, :due_on, :snoozed_until, :on_bench, :may_card))
      end

      def address(due)
        Core::Cards::Address.new(stopped: !due[:stopped_on].nil?, **due.slice(:email, :street, :email_agreed, :post_agreed))
      end
    end
  end
end
