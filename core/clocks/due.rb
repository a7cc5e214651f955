# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      # The answer of DueDate: when a task is due, how early and late that may be, which clock decided,
      # and why. `personal` is the household's own factor that the deciding clock was divided
      # by. `late_on` nil means no clock sets a late bound (no use at all).
      class Due
        include Value

        fields :due_on, :early_on, :late_on, :deciding, :why, personal: 1.0

        # What a customer is told to have done: where nobody knows whether it is to be replaced, to have it looked at.
        # @param action [String]
        # @param deciding [String, Symbol] as in `deciding`
        # @return [String]
        def self.told(action, deciding)
          deciding.to_sym == :unknown ? "inspect" : action
        end

        # @return [Array<Reason>] what each clock says
        def reasons
          why.to_a
        end
      end
    end
  end
end
