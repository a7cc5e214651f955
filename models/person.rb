# frozen_string_literal: true

module UprightBench
  module Models
    # Staff: technician, counter, owner.
    class Person < Sequel::Model(:people)
      ROLES = %w[technician counter owner].freeze
      ROOMS = %w[auto light dim].freeze

      def owner?
        role == "owner"
      end

      def first_name
        name.split.first
      end
    end
  end
end
