# frozen_string_literal: true

module UprightBench
  module Services
    # What falls due, as the cards see it: one query, then the core bundles it by customer.
    class DueBook
      # One open due with what a screen or a card says about it.
      Row = Struct.new(:task, :customer, :machine_title, :plate, :position_name, :action, :due, keyword_init: true)

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
        grouped = rows.group_by { |row| row.customer.id }
        made = grouped.map do |customer_id, rows|
          Core::Cards::Bundle.new(customer_id: customer_id, tasks: rows.map(&:task), address: rows.first.customer.to_core,
                                  policy: @policy, today: @today)
        end
        made.select { |bundle| bundle.lines.any? }.sort_by { |bundle| [bundle.leaves_on, bundle.customer_id] }
      end

      private

      def dataset
        found = Models::Due.running.where(may_card: true).where(Sequel[:dues][:due_on] <= @until_on).where(machine_id: living_machines)
        found = found.where(machine_id: Models::Machine.where(customer_id: @customer_id).select(:id)) if @customer_id
        found.eager(machine: %i[customer sheet]).left_join(sent, { due_id: Sequel[:dues][:id] }, table_alias: :sent)
             .select_all(:dues).select_append(Sequel[:sent][:attempts], Sequel[:sent][:carded_at], on_bench.as(:on_bench))
             .order(Sequel[:dues][:due_on], Sequel[:dues][:id])
      end

      def living_machines
        Models::Machine.exclude(state: %w[sold scrapped]).select(:id)
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
        machine = due.machine
        Row.new(task: task(due, machine), customer: machine.customer, machine_title: machine.sheet.title, plate: machine.plate,
                position_name: due.position_name, action: due.action, due: due)
      end

      def task(due, machine)
        Core::Cards::DueTask.new(id: due.id, customer_id: machine.customer_id, due_on: due.due_on, attempts: due[:attempts] || 0,
                                 carded_on: due[:carded_at] && Config::Zone.date(due[:carded_at]), snoozed_until: due.snoozed_until,
                                 on_bench: due[:on_bench], machine_state: machine.state.to_sym, may_card: due.may_card)
      end
    end
  end
end
