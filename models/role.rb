# frozen_string_literal: true

module UprightBench
  module Models
    # What a role may do, where the owner said otherwise than is usual.
    class Role < Sequel::Model(:roles)
    end
  end
end
