# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # How far gone a place was found, as a share of what an interval of one action allows: 0.25 hardly, 1.0 just
      # right, 1.5 far gone. `step` is that of the scale it was graded on, 0 where it was measured; at the end of a
      # scale it is `at_least` so far gone. `presumed` is what somebody looked at and did something else with: it tells
      # nothing of a part of which is known since when it has been in.
      class Load
        include Value

        fields :share, step: 0, at_least: false, presumed: false

        HARDLY = 0.25
        MOST = 1.5

        private

        def check
          raise ArgumentError, "a share lies between 0 and #{MOST}" unless share.between?(0, MOST)
        end
      end
    end
  end
end
