# frozen_string_literal: true

module UprightBench
  module Models
    # One kind of thing that came with a machine: how many in, and how many out again.
    class Accessory < Sequel::Model(:job_accessories)
      many_to_one :job
    end
  end
end
