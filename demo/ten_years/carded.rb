# frozen_string_literal: true

module UprightBench
  module Demo
    class TenYears
      # The cards that went out about what is due now, by mail and each month: what falls due within the bundling
      # window together, up to three times, and nobody answered.
      class Carded
        LEAD_DAYS = 10
        WINDOW_DAYS = 45
        GAP_DAYS = 31
        ATTEMPTS = 3

        # A card: its machine's row, the day it left, and for each due on it (by its place in the sheet) the attempt.
        Card = Struct.new(:machine, :day, :lines)

        # @param plan [Plan]
        # @param due_days [Hash{Integer=>Array<Integer>}] by sheet: days from a job to each due, nil for those without
        #   cards
        def initialize(plan, due_days)
          @plan = plan
          @due_days = due_days
        end

        # @yieldparam card [Card]
        def each(&block)
          return enum_for unless block_given?

          @plan.machines.times { |row| of(row, &block) }
        end

        private

        def of(row)
          days = @due_days.fetch(@plan.sheet_of(row).id)
          last_day = @plan.last_day(row)
          sent = Array.new(days.size, 0)
          rounds(last_day, days).each do |day|
            break if over?(days, sent)

            lines = lines_until(day + LEAD_DAYS + WINDOW_DAYS - last_day, days, sent)
            yield card(row, day, lines, sent) if lines.any?
          end
        end

        # The days on which cards are written.
        def rounds(last_day, days)
          (last_day + days.compact.min - LEAD_DAYS).step(@plan.today - 2, GAP_DAYS)
        end

        def card(row, day, lines, sent)
          lines.each { |place| sent[place] += 1 }
          Card.new(row, day, lines.to_h { |place| [place, sent[place]] })
        end

        def lines_until(last, days, sent)
          days.each_index.select { |index| days[index] && sent[index] < ATTEMPTS && days[index] <= last }
        end

        def over?(days, sent)
          days.each_index.all? { |index| days[index].nil? || sent[index] == ATTEMPTS }
        end
      end
    end
  end
end
