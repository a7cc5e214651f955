# frozen_string_literal: true

module UprightBench
  module Services
    # Discards a draft; the sheet stays as it is.
    module DropDraft
      module_function

      # @raise [Forbidden]
      def call(draft, by:)
        Permissions.check!(Permissions.of_sheets(draft.data), by)
        draft.delete
      end
    end
  end
end
