# frozen_string_literal: true

module UprightBench
  module Demo
    class TenYears
      # The cards among the tables: a batch, its cards, what they name, and how they left.
      module CardTables
        CARD = "id customer_id channel attempt code_expires_on batch_id created_by created_at"

        private

        def sent
          days = @tasks.transform_values do |tasks|
            tasks.each_with_index.map { |(_, task), at| days_to(at) if task.card }
          end
          @sent ||= Carded.new(@plan, days).each.to_a
        end

        def cards
          table(:cards, CARD, numbered do |card, id|
            line(id, customer_id(card), "email", card.lines.values.max, card.day + 120, batch, counter,
              "#{card.day} 09:00Z")
          end)
        end

        def card_lines
          table(:card_lines, "card_id due_id attempt leaves_on", numbered do |card, id|
            card.lines.map do |at, attempt|
              line(id, due_id(card.machine, at), attempt, card.day)
            end.join
          end)
        end

        def messages
          columns = "card_id channel recipient state handed_over_at batch_id leaves_on tries"
          table(:messages, columns, numbered do |card, id|
            line(id, "email", "c#{@plan.customer_of(card.machine)}@example.org", "handed_over", "#{card.day} 09:05Z",
              batch, card.day, 1)
          end)
        end

        def numbered
          Enumerator.new { |out| sent.each_with_index { |card, index| out << yield(card, @plan.id(:cards, index)) } }
        end

        def customer_id(card)
          @plan.id(:customers, @plan.customer_of(card.machine))
        end

        # They are all of one, which left long ago.
        def batches
          table(:batches, "id state until_on created_by created_at written_at finished_at", lines(1) do
            line(batch, "done", @plan.today, counter, *(["#{@plan.today} 00:00Z"] * 3))
          end)
        end

        def batch
          @plan.id(:batches, 0)
        end
      end
    end
  end
end
