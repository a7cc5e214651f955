# frozen_string_literal: true

module UprightBench
  module Models
    # What somebody wants of a step of the plan: who does it, not before when, and whether it stays where it is.
    class StepWish < Sequel::Model(:step_wishes)
      many_to_one :job
      many_to_one :person
      unrestrict_primary_key
    end
  end
end
