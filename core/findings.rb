# frozen_string_literal: true

module UprightBench
  module Core
    # What is seen or measured at a position, and what it means.
    module Findings
      module_function

      # What may be recorded of the part itself at a position of a sheet.
      #
      # @param position [Sheets::Position]
      # @return [Hash{Symbol=>Field}]
      def fields(position)
        position.kind_of_part.own_fields.select { |_, field| field.needs.nil? || position.asks_for?(field.needs) }
      end

      # What "it is fine" records at a position: the good word where there is one, else nothing but the verdict.
      #
      # @param position [Sheets::Position]
      # @return [Hash{Symbol=>String}]
      def fine(position)
        name, field = position.kind_of_part.fields.first
        field.fine ? { name => field.fine } : {}
      end
    end
  end
end
