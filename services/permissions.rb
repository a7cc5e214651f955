# frozen_string_literal: true

module UprightBench
  module Services
    # Whether somebody may do something: what the table says (Core::Access::Permissions), and the owner instead of it.
    module Permissions
      module_function

      # @param what [Symbol] a row of the table
      # @param by [Models::Person, Actor]
      # @raise [KeyError] when there is no such row
      def allow?(what, by)
        return true if by.is_a?(Actor)

        Core::Access::Permissions.allow?(what, by.role, by.said)
      end

      # @return [true]
      # @raise [Forbidden]
      # @raise [ArgumentError] when nobody is named
      def check!(what, by)
        raise ArgumentError, "who does this is not said" if by.nil?

        allow?(what, by) || raise(Forbidden, Core::Access::Permissions.fetch(what).refusal)
      end

      # Whoever begins a rough sheet at the counter leaves full ones alone.
      # @param contents [Array<Hash, nil>] what stands and what shall stand instead
      # @return [Symbol] a row of the table
      def of_sheets(*contents)
        contents.compact.all? { |content| content["rough"] } ? :rough_sheets : :sheets
      end
    end
  end
end
