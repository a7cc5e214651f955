# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # What is known about a position beside what was just seen: the part's age and washes, the use of
      # the machine, the shop's schools, and the brush measurement it is compared with.
      class Background
        include Value

        fields policy: Policy.new, wash_count: 0, fitted_on: nil, today: nil, hours_per_week: nil

        # @return [Integer, nil] days in use
        def age_days
          (today - fitted_on).to_i if fitted_on && today
        end
      end
    end
  end
end
