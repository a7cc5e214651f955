# frozen_string_literal: true

module UprightBench
  module Core
    module Policies
      # The shop rules about what is printed on. The size of cards stands with the cards.
      module Printing
        ALL = [
          Choice.new(key: "sheets", group: :printing, label: "Bills, estimates and lists are printed on",
            default: Units::SheetSize::USUAL, options: Units::SheetSize::ALL.transform_values(&:words)),
          Choice.new(key: "tags", group: :printing, label: "Tags of machines", default: "100x62",
            options: Labels::Stock::TAGS.transform_values(&:words)),
          Choice.new(key: "labels", group: :printing, label: "Labels of trays, filters and the shelf",
            default: "62x29", options: Labels::Stock::SMALL.transform_values(&:words))
        ].freeze
      end
    end
  end
end
