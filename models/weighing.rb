# frozen_string_literal: true

module UprightBench
  module Models
    # What a washed part weighed while it dried.
    class Weighing < Sequel::Model(:weighings)
      many_to_one :rack_stay
    end
  end
end
