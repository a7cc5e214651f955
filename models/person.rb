# frozen_string_literal: true

module UprightBench
  module Models
    # Staff. Whoever may look only changes nothing.
    class Person < Sequel::Model(:people)
      ROLES = %w[technician counter owner look_only].freeze
      OPEN = 2 # of status_id: 1 is not confirmed yet, 3 is closed
      THEMES = %w[auto light dim].freeze

      dataset_module do
        # Those who may sign in.
        where :may_sign_in, status_id: OPEN
      end

      def owner?
        role == "owner"
      end

      def role_words
        role.tr("_", " ")
      end

      def first_name
        name.split.first
      end
    end
  end
end
