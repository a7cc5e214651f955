# frozen_string_literal: true

module UprightBench
  module Services
    class ForecastShelf
      # Who will ask for which part: the replacements that fall due with customers who get cards, and what walked in
      # before.
      class Demand
        USED_DAYS = 365  # looked back at what was used, for the walk-ins
        FEWEST_DAYS = 28 # a new shop's first weeks are no rate yet (house rule)
        SAID_YES = 0.9   # of those who answered a card that they come, or want it sent, so many do (house rule)

        # @param days [Integer] how far ahead
        # @param policy [Core::Cards::Policy] when cards leave
        def initialize(today:, days:, policy: Policies.now.cards)
          @today = today
          @days = days
          @policy = policy
        end

        # @return [Hash{Integer=>Array<Core::Shelf::Forecast::Dues>}] by part
        def dues
          comes = Hash.new { |known, row| known[row] = comes_back(*row) }
          WhichPart.new(rows).each_with_object({}) do |(part_id, row), found|
            who = comes[row.values_at(:channel, :card_in, :follow_up_in, :earlier)]
            (found[part_id] ||= []) << Core::Shelf::Forecast::Dues.new(who, row[:count])
          end
        end

        # @return [Hash{Integer=>Float}] by part, pieces a week that were used for customers who had got no card
        def walk_ins_a_week
          weeks = [[used_since, USED_DAYS].compact.min, FEWEST_DAYS].max / Core::Shelf::Forecast::DAYS_A_WEEK.to_f
          heirs = WhichPart.heirs
          (used + sold).each_with_object(Hash.new(0.0)) do |row, found|
            found[heirs.fetch(row[:part_id], row[:part_id])] += row[:pieces] / weeks
          end
        end

        # @return [Hash{String=>Float}] by channel, that a customer who gets a card comes
        def chances
          seen = returns.chances
          Core::Cards::Channels::ORDER.map(&:to_s).to_h do |channel|
            [channel, seen.fetch(channel) { Core::Shelf::ReturnChance.new }.call]
          end.merge("said_yes" => SAID_YES)
        end

        private

        # Cards before the last are taken to have left as far apart as they may.
        def comes_back(channel, card_in, follow_up_in, earlier)
          Core::Shelf::ComesBack.new(card_in: card_in, follow_up_in: follow_up_in, answers: answers,
            earlier_in: (1..earlier).map { |card| card_in - (card * @policy.follow_up_gap_days) },
            chance: (@chances ||= chances).fetch(channel))
        end

        def answers
          @answers ||= returns.answer_days
        end

        def returns
          @returns ||= CardReturns.new(today: @today)
        end

        # Alike ones together: the same model, place, part that sits there, channel and days of cards.
        def rows # rubocop:disable Metrics/AbcSize -- one query
          dues, machines, fittings = %i[dues machines fittings].map { |table| Sequel[table] }
          columns = { sheet_id: machines[:sheet_id], position: dues[:position], part_id: fittings[:part_id],
                      channel: channel, card_in: card_in, follow_up_in: follow_up_in,
                      earlier: Sequel.function(:greatest, Sequel[:dues][:attempts] - 1, 0) }
          open_dues.select(*columns.map { |name, value| value.as(name) }).from_self.group(*columns.keys)
            .select(*columns.keys, Sequel.function(:count).*.as(:count)).naked.all
        end

        def channel
          Sequel.case([[{ Sequel[:dues][:id] => said_yes }, "said_yes"]], Sequel[:reached][:channel])
        end

        # Days until the first card leaves, or since the last one left.
        def card_in
          leads = Core::Cards::Channels::ORDER.to_h { |key| [key.to_s, @policy.lead_days(key)] }
          lead = Sequel.case(leads, 0, Sequel[:reached][:channel])
          leaves_on = first_cards.leaves_on(Sequel[:first_cards][:first_on], lead)
          Sequel.function(:coalesce, Sequel[:dues][:carded_on], leaves_on) - @today
        end

        def first_cards
          @first_cards ||= FirstCards.new(today: @today, policy: @policy)
        end

        # @return [Sequel::SQL::Expression] null where no more may follow
        def follow_up_in
          following = Sequel.function(:greatest, card_in + @policy.follow_up_gap_days, 0)
          Sequel.case([[Sequel[:dues][:attempts] <= @policy.most_follow_ups, following]], nil)
        end

        # Dues of whose card the customer said yes.
        def said_yes
          Models::CardLine.where(void: false, card_id: Models::Answer.where(kind: %w[will_come send_part])
            .select(:card_id)).select(:due_id)
        end

        def open_dues # rubocop:disable Metrics/AbcSize -- one query
          dues, machines, fittings = %i[dues machines fittings].map { |table| Sequel[table] }
          here = { fittings[:machine_id] => dues[:machine_id], fittings[:position] => dues[:position],
                   fittings[:removed_on] => nil }
          within(Models::Due.running.where(dues[:action] => "replace", dues[:may_card] => true))
            .join(:machines, id: dues[:machine_id])
            .join(reachable, { id: machines[:customer_id] }, table_alias: :reached)
            .left_join(first_cards.call, { customer_id: machines[:customer_id] }, table_alias: :first_cards)
            .exclude(machines[:state] => %w[sold scrapped stored]).left_join(:fittings, here).where(card_in <= @days)
        end

        # Whose card leaves by then, or left so lately that it may still bring them.
        def within(dues)
          lately = @today - Core::Shelf::AnswerDays::STEPS.last
          dues.where(Sequel[:due_on] <= @today + @days + @policy.longest_lead_days + @policy.bundle_days)
            .where((Sequel[:dues][:carded_on] >= lately) | { Sequel[:dues][:carded_on] => nil } |
              (Sequel[:dues][:attempts] <= @policy.most_follow_ups))
        end

        # As Core::Cards::Address chooses.
        def reachable
          ways = Core::Cards::Channels::ALL.map { |channel| [reached_by(channel), channel.key.to_s] }
          Models::Customer.where(stopped_on: nil).select(:id, Sequel.case(ways, nil).as(:channel))
            .from_self.exclude(channel: nil)
        end

        # @return [Sequel::SQL::Expression] whether a customer agreed to a channel and has an address that takes it
        def reached_by(channel)
          address = Sequel[:customers][channel.address_column]
          fault = Models::ChannelFault.where(customer_id: Sequel[:customers][:id], channel: channel.key.to_s,
            address: address)
          Sequel.&(channel.agreed_column, Sequel.~(channel.address_column => nil), ~fault.select(1).exists)
        end

        def earned_days
          Sequel.lit("interval '#{Earned::DAYS} days'")
        end

        def used
          moves(%w[used returned]).join(:jobs, id: Sequel[:stock_moves][:job_id]).exclude(carded.select(1).exists)
            .group(:part_id).select(:part_id, (Sequel.function(:sum, :pieces) * -1).as(:pieces))
            .naked.all.select { |row| row[:pieces].positive? }
        end

        # Over the counter.
        def sold
          moves(%w[sold]).group(:part_id).select(:part_id, (Sequel.function(:sum, :pieces) * -1).as(:pieces)).naked.all
        end

        # Cards that may have brought the job.
        def carded
          taken_in_at = Sequel[:jobs][:taken_in_at]
          Models::Card.where(customer_id: Sequel[:jobs][:customer_id])
            .where(Sequel[:created_at] < taken_in_at).where(Sequel[:created_at] > taken_in_at - earned_days)
        end

        def moves(kinds)
          Models::StockMove.where(kind: kinds).where(Sequel[:moved_at] > Config::Zone.at(@today - USED_DAYS, 0))
        end

        # @return [Integer, nil] days
        def used_since
          first = Models::StockMove.where(kind: "used").min(:moved_at)
          first && (@today - Config::Zone.date(first)).to_i
        end
      end
    end
  end
end
