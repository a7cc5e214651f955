# frozen_string_literal: true

module UprightBench
  module Queries
    # The parts by number, with stock, fits and forecast; those with some words in their number or name.
    module PartsOnShelf
      PAGE = 200

      module_function

      # @param query [String]
      # @param after [String] a part's number: those that follow it; empty from the beginning
      # @return [Array<Models::Part>] at most PAGE
      def call(query, after: "")
        parts = Models::Part.called(query).eager(:stock_level, :fit_rules, :forecast).order(:number).limit(PAGE)
        (after.empty? ? parts : parts.where { number > after }).all
      end

      # @return [Array<Hash>] all parts as a file writes them
      def for_a_file
        Models::Part.order(:number).eager(:stock_level, :supplier, :successor).all.map do |part|
          part.values.merge(supplier: part.supplier&.name, successor: part.successor&.number, on_shelf: part.stock)
        end
      end
    end
  end
end
