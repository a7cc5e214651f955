# frozen_string_literal: true

module UprightBench
  module Models
    # A part on the shelf.
    class Part < Sequel::Model(:parts)
      one_to_many :fit_rules
      one_to_one :stock_level
      one_to_one :forecast, class: "UprightBench::Models::PartForecast"
      one_to_many :stock_moves, order: Sequel.desc(:id)
      many_to_one :successor, class: self
      many_to_one :supplier

      dataset_module do
        # Those with some words in their number or name; all when there are none.
        def called(words)
          return self if words.empty?

          pattern = "%#{escape_like(words)}%"
          where(Sequel.ilike(:number, pattern) | Sequel.ilike(:name, pattern))
        end

        # With what lies on the shelf and the supplier's lead times, in one statement.
        def with_shelf
          left_join(:stock_levels, part_id: Sequel[:parts][:id]).left_join(:suppliers, id: Sequel[:parts][:supplier_id])
            .select_all(:parts)
            .select_append(Sequel.function(:coalesce, Sequel[:stock_levels][:pieces], 0).as(:shelf_pieces),
              Sequel.function(:coalesce, Sequel[:suppliers][:learned_lead_days], Sequel[:suppliers][:lead_days])
                .as(:supplier_days))
        end

        # @param side [String] a measure, as "length_mm"
        # @param slack [Numeric] how far it may be off
        def of_about(side, wanted, slack)
          where(measure(side) => (wanted - slack)..(wanted + slack))
        end

        # What to order by for the nearest first.
        def off_by(side, wanted)
          Sequel.function(:abs, measure(side) - wanted)
        end

        # As the indexes have it.
        def measure(side)
          Sequel.cast(Sequel.lit("measures ->> ?", side), :numeric)
        end
      end

      WITH_SHELF = Prepared.new(:parts_with_shelf) { with_shelf.where(Sequel.lit("parts.id = ANY(?)", :$ids)) }
      private_constant :WITH_SHELF

      # @param ids [Array<Integer>]
      # @return [Hash{Integer=>Part}] with what lies on the shelf and the supplier's lead times
      def self.with_shelf_of(ids)
        ids.empty? ? {} : WITH_SHELF.all(ids: Sequel.pg_array(ids, :bigint)).to_h { |part| [part.id, part] }
      end

      # @return [Integer, nil] how long it takes to come when it is ordered: as learned before as stated, its own
      #   before the supplier's
      def days_to_come
        learned_lead_days || lead_days ||
          values.fetch(:supplier_days) { supplier&.learned_lead_days || supplier&.lead_days }
      end

      # @return [Numeric] days by which that scatters: as learned, its own before the supplier's
      def lead_spread_days
        learned_lead_spread_days || supplier&.learned_lead_spread_days ||
          ((days_to_come || 0) * Core::Shelf::LeadTime::STATED_SPREAD)
      end

      # @return [Integer] pieces on the shelf
      def stock
        values.fetch(:shelf_pieces) { stock_level&.pieces || 0 }
      end

      # @return [Core::Fit::Box] which asks nothing of the shelf
      def box
        Core::Fit::Box.new(contents: contents.to_hash)
      end

      # @param reserved [Integer] pieces on the shelf that are somebody else's already
      # @return [Core::Fit::Part]
      def to_core(reserved: 0) # rubocop:disable Metrics/AbcSize -- one value of a row
        Core::Fit::Part.new(id: id, number: number, name: name, kind: kind.to_sym,
          attributes: self[:attributes].to_hash, needs: needs.to_hash,
          measures: measures.to_hash, contents: contents.to_hash, takes_out: takes_out.to_a,
          filter_class: filter_class,
          pattern: pattern, successor_id: successor_id, discontinued: discontinued,
          price_cents: price_cents,
          life_months: life_months, lead_days: days_to_come, stock: [stock - reserved, 0].max,
          reserved: reserved)
      end
    end
  end
end
