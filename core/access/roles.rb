# frozen_string_literal: true

module UprightBench
  module Core
    module Access
      # What somebody who works here may be.
      module Roles
        ALL = %w[technician counter owner look_only].freeze
      end
    end
  end
end
