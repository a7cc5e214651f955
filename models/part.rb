# frozen_string_literal: true

module UprightBench
  module Models
    # A part on the shelf.
    class Part < Sequel::Model(:parts)
      one_to_many :fit_rules
      one_to_one :stock_level
      one_to_many :stock_moves, order: Sequel.desc(:id)

      # @return [Integer] pieces on the shelf
      def stock
        stock_level&.pieces || 0
      end

      # @return [Core::Fit::Part]
      def to_core
        Core::Fit::Part.new(id: id, number: number, name: name, kind: kind.to_sym, attributes: self[:attributes].to_hash,
                            measures: measures.to_hash, filter_class: filter_class, pattern: pattern,
                            price_cents: price_cents, life_months: life_months, stock: stock)
      end
    end
  end
end
