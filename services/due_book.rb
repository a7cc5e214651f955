# frozen_string_literal: true

module UprightBench
  module Services
    # What falls due, as the cards see it: one query, then the core bundles it by customer.
    class DueBook
      # One open due with what a screen or a card says about it; `task` and `address` are what the core asks for.
      Row = Struct.new(:task, :customer_id, :customer_name, :address, :machine_id, :machine_title, :plate, :position_name, :action, :due_on,
                       keyword_init: true)

      # How much falls due in each week from today; -1 is what is overdue.
      # @return [Hash{Integer=>Integer}]
      def self.weeks(today:, days:)
        week = Sequel.case([[Sequel[:due_on] < today, -1]], (Sequel[:due_on] - today) / 7)
        Models::Due.running.where(may_card: true).where(Sequel[:due_on] < today + days).where(machine_id: Models::Machine.exclude(state: %w[sold scrapped]).select(:id))
                   .group_and_count(week.as(:week)).naked.as_hash(:week, :count)
      end

      # @param today [Date]
      # @param customer_id [Integer, nil] of one customer only
      def initialize(today:, policy: Policies.now.cards, customer_id: nil)
        @today = today
        @policy = policy
        @customer_id = customer_id
        @until_on = today + [policy.post_lead_days, policy.email_lead_days].max + policy.bundle_days # the last that can be on a card today
      end

      # @return [Array<Row>] soonest first
      def rows
        @rows ||= begin
          dues = dataset.all
          sent = sent_before(dues.map { |due| due[:id] })
          dues.map { |due| row(due, sent.fetch(due[:id], NEVER_SENT)) }
        end
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

      DUE = %i[id machine_id position_name action due_on snoozed_until may_card].freeze
      CUSTOMER = %i[email street email_agreed post_agreed stopped_on].freeze
      private_constant :DUE, :CUSTOMER

      def dataset
        found = Models::Due.running.where(may_card: true).where(Sequel[:dues][:due_on] <= @until_on)
                           .join(:machines, id: :machine_id).join(:customers, id: Sequel[:machines][:customer_id])
                           .join(:sheets, id: Sequel[:machines][:sheet_id]).exclude(Sequel[:machines][:state] => %w[sold scrapped])
        found = @customer_id ? found.where(Sequel[:machines][:customer_id] => @customer_id) : in_question(found)
        found.select(*columns).order(Sequel[:dues][:due_on], Sequel[:dues][:id]).naked
      end

      # Spares reading what the core would hold back anyway; for one customer all is read, so that the reasons can be shown.
      def in_question(dues)
        often_enough = Models::CardLine.where(due_id: Sequel[:dues][:id]).where(Sequel[:attempt] > @policy.most_follow_ups)
        dues.where(Sequel.|({ snoozed_until: nil }, Sequel[:snoozed_until] <= @today)).exclude(often_enough.select(1).exists)
      end

      def columns
        DUE.map { |name| Sequel[:dues][name] } + CUSTOMER.map { |name| Sequel[:customers][name] } +
          [Sequel[:customers][:name].as(:customer_name), Sequel[:machines][:customer_id], Sequel[:machines][:plate],
           Sequel[:machines][:state].as(:machine_state), Sequel.join(%i[maker model_name], " ").as(:machine_title), on_bench.as(:on_bench)]
      end

      NEVER_SENT = { attempts: 0, carded_on: nil }.freeze
      private_constant :NEVER_SENT

      # Asked for by their ids: joined to the rest, the database reads every card there ever was.
      # @return [Hash{Integer=>Hash}] by the due's id
      def sent_before(due_ids)
        Models::CardLine.join(:cards, id: :card_id).where(due_id: due_ids).group(:due_id)
                        .select(:due_id, Sequel.function(:max, Sequel[:card_lines][:attempt]).as(:attempts),
                                Sequel.function(:max, Sequel.function(:timezone, SETTINGS.time_zone, Sequel[:cards][:created_at])).cast(Date).as(:carded_on)).naked.as_hash(:due_id)
      end

      def on_bench
        Models::Job.in_shop.where(machine_id: Sequel[:dues][:machine_id]).select(1).exists
      end

      def row(due, sent)
        Row.new(task: task(due, sent), address: address(due),
                **due.slice(:customer_id, :customer_name, :machine_id, :machine_title, :plate, :position_name, :action, :due_on))
      end

      def task(due, sent)
        Core::Cards::DueTask.new(id: due[:id], machine_state: due[:machine_state].to_sym,
                                 **due.slice(:customer_id, :due_on, :snoozed_until, :on_bench, :may_card), **sent.slice(:attempts, :carded_on))
      end

      def address(due)
        (@addresses ||= {})[due[:customer_id]] ||=
          Core::Cards::Address.new(stopped: !due[:stopped_on].nil?, **due.slice(:email, :street, :email_agreed, :post_agreed))
      end
    end
  end
end
