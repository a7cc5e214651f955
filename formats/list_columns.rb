# frozen_string_literal: true

module UprightBench
  module Formats
    # What a supplier's columns are likely to be (common practice): the beginning of the question, answered by a person.
    module ListColumns
      LIKELY = {
        "number" => %w[sku item item_no item_number part_no part_number code article artikelnummer art_nr
                       artnr bestellnr],
        "name" => %w[description title bezeichnung beschreibung designation product],
        "barcode" => %w[ean ean13 gtin upc strichcode],
        "price" => %w[rrp list_price retail retail_price vk preis uvp], "cost" => %w[net net_price dealer ek trade],
        "pack_pieces" => %w[pack moq vpe pack_size unit], "maker" => %w[brand manufacturer hersteller marke make],
        "lead_days" => %w[lead_time lieferzeit days]
      }.freeze

      module_function

      # @param header [String] as CsvRows names it
      # @return [String, nil] one of PartList::COLUMNS
      def likely(header)
        return header if PartList::COLUMNS.include?(header)

        plain = header.gsub(/[^a-z0-9]+/, "_").gsub(/\A_+|_+\z/, "")
        LIKELY.find { |_, names| names.include?(plain) }&.first
      end
    end
  end
end
