# frozen_string_literal: true

module UprightBench
  module Core
    module Strip
      # One thing that goes back in: a step that is closed, with what came off in it, or a part in a place that no step
      # takes off.
      #
      # @!attribute step [Sheets::Step, nil]
      # @!attribute places [Array<Sheets::Position>] whose parts go back here
      # @!attribute reason [Reason] why now
      class Back
        include Value

        fields :step, :places, :reason

        # @return [String] of the step, or of the place
        def key
          step ? step.key : places.first.key
        end
      end
    end
  end
end
