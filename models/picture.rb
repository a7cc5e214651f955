# frozen_string_literal: true

module UprightBench
  module Models
    # A picture of a job or of a note; what it shows lies in the store under its digest.
    class Picture < Sequel::Model(:pictures)
      many_to_one :job
      many_to_one :note
      many_to_one :adder, class: "UprightBench::Models::Person", key: :added_by
    end
  end
end
