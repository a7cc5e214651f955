# frozen_string_literal: true

module UprightBench
  module Services
    # What is taken off the shelf for a thing to do, when a box that was opened for another place of the job may hold
    # it.
    module Boxes
      module_function

      # What is left of the boxes that were opened and paid: it goes home with the customer.
      # @param items [Array<Models::WorkItem>] of the job, with their parts
      # @return [Array<Array(Models::Part, String, Integer)>] part, kind of piece, pieces
      def left(sheet, items)
        items.select { |item| fitted_from_the_shelf?(item) }.group_by(&:part).flat_map do |part, served|
          left_of(part, served.map { |item| sheet.position(item.position).kind })
        end
      end

      def fitted_from_the_shelf?(item)
        item.state == "done" && item.action == "replace" && item.part && !item.own_spare
      end

      # @param kinds [Array<Symbol>] of the places that it filled
      def left_of(part, kinds)
        part.box.left_of(kinds).map { |kind, pieces| [part, kind, pieces] }
      end

      # @param item [Models::WorkItem] with its part
      # @param others [Array<Models::WorkItem>] of the same job, that are served already
      # @return [Integer] pieces that this one asks for beyond them
      def more(sheet, item, others)
        kinds = others.select { |other| other.action == "replace" && other.part_id == item.part_id }
          .map { |other| sheet.position(other.position).kind }
        box = item.part.box
        box.for_places([*kinds, sheet.position(item.position).kind]) - box.for_places(kinds)
      end
    end
  end
end
