# frozen_string_literal: true

module UprightBench
  module Core
    module Strip
      # A step on the way in.
      #
      # @!attribute step [Sheets::Step]
      # @!attribute reason [Reason] what it is done for
      class In
        include Value

        fields :step, :reason
      end
    end
  end
end
