# frozen_string_literal: true

module UprightBench
  module Models
    # A test of electrical safety that a competent person made.
    class SafetyTest < Sequel::Model(:safety_tests)
      many_to_one :machine
      many_to_one :job
      many_to_one :recorder, class: "UprightBench::Models::Person", key: :recorded_by
    end
  end
end
