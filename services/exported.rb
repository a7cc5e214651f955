# frozen_string_literal: true

module UprightBench
  module Services
    # A whole list was taken out: who did it stands in the history.
    module Exported
      module_function

      # @param what [String] as in "customers (CSV)"
      # @param may [Symbol] the row of the table of permissions that lets them
      # @raise [Forbidden]
      def note(what, by:, at:, may: :bulk_export)
        History.note("exported", Models::Shop.the, by: by, at: at, data: { what: what }, may: may)
      end
    end
  end
end
