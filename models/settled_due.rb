# frozen_string_literal: true

module UprightBench
  module Models
    # What was due when a machine was here, and what was said about it: done now, still good, or left by the customer.
    class SettledDue < Sequel::Model(:settled_dues)
      many_to_one :job

      dataset_module do
        where :to_do_now, choice: "now"
      end
    end
  end
end
