# frozen_string_literal: true

module UprightBench
  module Services
    # What the parts cost that cards name: of each due replacement the part that it will take (WhichPart), tax included.
    module CardPrices
      module_function

      # @param due_ids [Array<Integer>]
      # @param words [Array<Core::Cards::Words>] in which the cards are written
      # @return [Hash{Integer=>Integer}] due => cents; nothing while no text says a price, as that is asked for every
      #   card of a batch
      def call(due_ids, policies:, words: Models::Wording.words.values)
        return {} unless words.any? { |texts| texts.say?(:price) }

        part_of = WhichPart.new(replacements(due_ids)).to_h { |part_id, row| [row[:due_id], part_id] }
        prices = with_tax(part_of.values.uniq, policies.money)
        part_of.transform_values { |part_id| prices.fetch(part_id) }
      end

      def replacements(due_ids) # rubocop:disable Metrics/AbcSize -- one query
        dues = Sequel[:dues]
        here = { Sequel[:fittings][:machine_id] => dues[:machine_id], Sequel[:fittings][:position] => dues[:position],
                 Sequel[:fittings][:removed_on] => nil }
        Models::Due.where(dues[:id] => due_ids, dues[:action] => "replace").join(:machines, id: dues[:machine_id])
          .left_join(:fittings, here)
          .naked.select(dues[:id].as(:due_id), Sequel[:machines][:sheet_id], dues[:position], :part_id).all
      end

      def with_tax(part_ids, money)
        Models::Part.where(id: part_ids).select_hash(:id, %i[price_cents tax_class])
          .transform_values { |cents, tax_class| money.with_tax(cents, tax_class || "part") }
      end
      private_class_method :replacements, :with_tax
    end
  end
end
