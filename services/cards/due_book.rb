# frozen_string_literal: true

module UprightBench
  module Services
    # What falls due, as the cards see it: one query, then the core bundles it by customer.
    class DueBook
      # One open due with what a screen or a card says about it; `task` and `address` are what the core asks for.
      Row = Struct.new(:task, :address, :read) do
        %i[customer_id customer_name machine_id machine_title serial_number position_name action
           deciding due_on].each { |name| define_method(name) { read[name] } }
      end

      # Why somebody gets no card, of one and as those are counted who get none for the same reason.
      Why = Struct.new(:words, :counted_as)

      # What somebody may still hear of falls due in each week from today; -1 is what is overdue. What was written
      # about often enough is left out: that is much, and more with every year. The dues of a machine that was sold are
      # ended with it.
      # @param policy [Core::Cards::Policy]
      # @return [Hash{Integer=>Integer}] weeks in which nothing falls due are not in it
      def self.weeks(today:, days:, policy:)
        week = Sequel.function(:greatest, Sequel.function(:floor, (Sequel[:due_on] - today) / 7.0), -1).cast(Integer)
        Models::DueCount.where(attempts: policy.attempts_to_follow).where(Sequel[:due_on] < today + days).group(week)
          .naked.select_hash(week.as(:week), Sequel.function(:sum, :dues).as(:dues))
      end

      # @param today [Date]
      # @param until_on [Date] cards that leave by then are looked for
      # @param customer_ids [Array<Integer>, nil] of these customers only, with what the core holds back for being
      #   written often enough
      def initialize(today:, policies: Policies.now, until_on: today, customer_ids: nil)
        @today = today
        @policy = policies.cards
        @schedule = policies.schedule
        @customer_ids = customer_ids
        @until_on = until_on
        @last_due_on = until_on + @policy.longest_lead_days + @policy.bundle_days # the last that can be on such a card
      end

      # @return [Array<Row>] soonest first
      def rows
        @rows ||= dataset.map { |due| Row.new(task(due), address(due), due) }
      end

      # @return [Hash{Integer=>Row}] by the due's id
      def by_id
        @by_id ||= rows.to_h { |row| [row.task.id, row] }
      end

      # @return [Array<Core::Cards::Bundle>] one for each customer with something to write about, soonest to leave first
      def bundles
        @bundles ||= all_bundles.select { |bundle| bundle.lines.any? }
          .sort_by { |bundle| [bundle.leaves_on, bundle.customer_id] }
      end

      # @return [Array<Core::Cards::Bundle>] whose cards leave by the day asked for
      def leaving
        bundles.select { |bundle| bundle.leaves_by?(@until_on) }
      end

      # Who would hear by then but does not, and why.
      # @return [Hash{Row=>Why}] the first due of each such customer => reason
      def left_out
        all_bundles.reject { |bundle| bundle.leaves_by?(@until_on) }.filter_map { |bundle| why_not(bundle) }.to_h
      end

      # Those who were written to often enough are not read with the others: there are many, and more with every year.
      # @return [Integer] customers
      def often_enough
        unanswered.get(Sequel.function(:count, Sequel[:machines][:customer_id]).distinct)
      end

      # @return [Sequel::Dataset] dues, with their machines, about which nobody hears more for now
      def unanswered
        Models::Due.running.where(may_card: true).where(Sequel[:due_on] <= @until_on + @policy.longest_lead_days)
          .where(Sequel[:attempts] > @policy.most_follow_ups).exclude(anew)
          .join(:machines, id: :machine_id).exclude(Sequel[:machines][:state] => %w[sold scrapped])
      end

      private

      DUE = %i[id machine_id position_name action deciding due_on snoozed_until may_card attempts carded_on].freeze
      private_constant :DUE

      def all_bundles
        @all_bundles ||= by_customer.map do |customer_id, rows|
          Core::Cards::Bundle.new(customer_id: customer_id, tasks: rows.map(&:task), address: rows.first.address,
            policy: @policy, today: @today, open_day: open_day)
        end
      end

      def why_not(bundle)
        soonest = by_customer.fetch(bundle.customer_id).first
        return [soonest, Why.new(bundle.obstacle, bundle.obstacle)] if in_time?(bundle) && bundle.obstacle

        held = held_back(bundle)
        [by_id.fetch(held.keys.first.id), why(held.values)] unless held.empty? || in_time?(bundle)
      end

      def why(holds)
        Why.new(*%i[words counted_as].map { |said| holds.map(&said).uniq.join("; ") })
      end

      # @return [Hash{Core::Cards::DueTask=>Core::Cards::Hold}] what would leave by now
      def held_back(bundle)
        last = @until_on + @policy.lead_days(bundle.channel || :email)
        bundle.held_back.select { |task, _| task.due_on <= last }
      end

      # @return [Boolean] whether a card of it would leave by then
      def in_time?(bundle)
        bundle.lines.any? && bundle.leaves_on <= @until_on
      end

      def by_customer
        @by_customer ||= rows.group_by(&:customer_id)
      end

      # The same few days come again and again.
      def open_day
        @open_day ||= Hash.new { |known, day| known[day] = @schedule.last_open_day(day, from: @today) }.to_proc
      end

      def whose
        return Sequel.|({ attempts: @policy.attempts_to_follow }, anew) unless @customer_ids

        { Sequel[:machines][:customer_id] => @customer_ids }
      end

      # Written to often enough, and long ago; or somebody chose them since.
      def anew
        carded_on = Sequel[:dues][:carded_on]
        (Sequel[:dues][:attempts] > @policy.most_follow_ups) &
          ((carded_on <= @today - @policy.write_again_days) |
            (Sequel.function(:coalesce, Sequel[:dues][:snoozed_until], carded_on) > carded_on))
      end

      def dataset # rubocop:disable Metrics/AbcSize -- one query
        found = Models::Due.running.where(may_card: true).where(Sequel[:dues][:due_on] <= @last_due_on)
          .join(:machines, id: :machine_id).join(:customers, id: Sequel[:machines][:customer_id])
          .join(:sheets, id: Sequel[:machines][:sheet_id])
          .exclude(Sequel[:machines][:state] => %w[sold scrapped])
          .where(Sequel[:customers][:forgotten_on] => nil)
        found = found.left_join(just_here, { customer_id: Sequel[:machines][:customer_id] }, table_alias: :here)
        found.where(whose).select(*columns).order(Sequel[:dues][:due_on], Sequel[:dues][:id]).naked
      end

      # Whose machine was handed over within the quiet time, and when.
      def just_here
        Models::Job.where(Sequel[:handed_over_at] > Config::Zone.at(@today - @policy.quiet_days, 0))
          .group(:customer_id).select(:customer_id, Sequel.function(:max, :handed_over_at).as(:here_at))
      end

      def columns
        [*DUE.map { |name| Sequel[:dues][name] },
         *Models::Customer::REACHED_BY.map { |name| Sequel[:customers][name] },
         Sequel[:customers][:name].as(:customer_name), *machine_columns, on_bench.as(:on_bench),
         Sequel[:here][:here_at]]
      end

      def machine_columns
        [*%i[customer_id serial_number].map { |name| Sequel[:machines][name] },
         Sequel[:machines][:state].as(:machine_state), Sequel.join(%i[maker model_name], " ").as(:machine_title)]
      end

      def on_bench
        Models::Job.in_shop.where(machine_id: Sequel[:dues][:machine_id]).select(1).exists
      end

      # Field by field, for there are many.
      def task(due)
        Core::Cards::DueTask.new(id: due[:id], customer_id: due[:customer_id], due_on: due[:due_on],
          action: due[:action].to_sym, attempts: due[:attempts],
          carded_on: due[:carded_on], snoozed_until: due[:snoozed_until],
          on_bench: due[:on_bench], machine_state: due[:machine_state].to_sym,
          may_card: due[:may_card], here_on: due[:here_at] && Config::Zone.date(due[:here_at]))
      end

      def address(due)
        (@addresses ||= {})[due[:customer_id]] ||= Models::Customer.address(due, faults.fetch(due[:customer_id], {}))
      end

      def faults
        @faults ||= begin
          noted = @customer_ids ? Models::ChannelFault.where(customer_id: @customer_ids) : Models::ChannelFault.dataset
          noted.all.group_by(&:customer_id).transform_values do |rows|
            rows.to_h { |fault| [[fault.channel, fault.address], fault.reason] }
          end
        end
      end
    end
  end
end
