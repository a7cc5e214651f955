# frozen_string_literal: true

module UprightBench
  module Services
    # Takes names and addresses off the bills of customers who were forgotten, once the shop need not keep them.
    module BlankOldBills
      module_function

      # @param on [Date]
      def call(on:)
        DB.get(Sequel.function(:blank_old_bills, on << (12 * Policies.now["bills_kept_years"])))
      end
    end
  end
end
