# frozen_string_literal: true

module UprightBench
  module Core
    class Kind
      # A state in which a look may find the part: what the technician does about it, and which fault it is.
      #
      # @!attribute verdict [Symbol] a key of Findings::VerdictKind, or STOP
      # @!attribute wash_helps [Boolean] where the sheet allows a wash; else it is cleaned dry
      # @!attribute fault [Faults::Fault, nil] what it is when a fault is sought; nil where nobody searches for it
      class State
        include Value

        fields :verdict, :wash_helps, :fault

        GOOD = new(verdict: :leave, wash_helps: false, fault: nil)

        # @return [Boolean]
        def stop?
          verdict == STOP
        end

        # @return [Symbol] a key of Findings::VerdictKind
        def verdict_kind
          stop? ? :refer : verdict
        end
      end
    end
  end
end
