# frozen_string_literal: true

module UprightBench
  module Models
    # Staff. Whoever may look only changes nothing.
    class Person < Sequel::Model(:people)
      OPEN = 2 # of status_id; 1 is not confirmed yet
      CLOSED = 3
      THEMES = %w[auto light dim].freeze

      dataset_module do
        # Those who may sign in.
        where :may_sign_in, status_id: OPEN
      end

      # @return [Array<Symbol>, nil] what the owner said that their role may; nil when nothing. Read once for whoever
      #   acts: the answer stands for one request.
      def said
        return @said if defined?(@said)

        @said = Role.where(name: role).get(:may)&.map(&:to_sym)
      end

      # @return [Boolean] whether they are locked out
      def closed?
        status_id == CLOSED
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
