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

      # With what their role is allowed and asked for, in one query.
      # @return [Person, nil] nil for somebody who may not sign in
      def self.signed_in(id)
        @signed_in ||= Sequel::Dataset::PlaceholderLiteralizer.loader(self) { |pl, people| with_role(people, pl.arg) }
        @signed_in.first(id)
      end

      # The statement is put together once: every request sends it.
      def self.with_role(people, id)
        said = Role.where(name: Sequel[:people][:role]).select(:may)
        needs = Shop.select(Sequel.lit("people.role = ANY(second_factor_roles)"))
        people.may_sign_in.where(Sequel[:people][:id] => id).select_all(:people)
          .select_append(said.as(:said_may), needs.as(:needs_factor)).limit(1)
      end
      private_class_method :with_role

      # @return [Boolean] whether they have to set up a second factor before they go on
      def lacks_second_factor?
        !second_factor && values[:needs_factor] == true
      end

      # @return [Array<Symbol>, nil] what the owner said that their role may; nil when nothing. Read once: the answer
      #   stands for one request.
      def said
        values[:said_may] = Role.where(name: role).get(:may) unless values.key?(:said_may)
        values[:said_may]&.map(&:to_sym)
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
