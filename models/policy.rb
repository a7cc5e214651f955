# frozen_string_literal: true

module UprightBench
  module Models
    # A shop setting that differs from its default.
    class Policy < Sequel::Model(:policies)
      unrestrict_primary_key
    end
  end
end
