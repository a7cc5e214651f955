# frozen_string_literal: true

module UprightBench
  module Services
    # What is taken off the shelf for a thing to do, when a box that was opened for another place of the job may hold
    # it.
    module Boxes
      module_function

      # @param item [Models::WorkItem] with its part
      # @param others [Array<Models::WorkItem>] of the same job, that are served already
      # @return [Integer] pieces that this one asks for beyond them
      def more(sheet, item, others)
        kinds = others.select { |other| other.action == "replace" && other.part_id == item.part_id }
          .map { |other| sheet.position(other.position).kind }
        part = item.part.to_core
        part.pieces_for([*kinds, sheet.position(item.position).kind]) - part.pieces_for(kinds)
      end
    end
  end
end
