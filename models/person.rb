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

      SIGNED_IN = Prepared.new(:person_signed_in) do
        session = DB[:person_sessions].where(person_id: Sequel[:people][:id])
          .where(Sequel.lit("session_id = ANY(?)", :$sessions))
        said = Role.where(name: Sequel[:people][:role]).select(:may)
        needs = Shop.select(Sequel.lit("people.role = ANY(second_factor_roles)"))
        may_sign_in.where(Sequel[:people][:id] => :$id).where(session.exists).select_all(:people)
          .select_append(said.as(:said_may), needs.as(:needs_factor))
      end
      private_constant :SIGNED_IN

      # With what their role is allowed and asked for, in one query: every request sends it.
      # @param sessions [Array<String>] digests, one of which is in the table where the session goes on
      # @return [Person, nil] nil where it was ended, and for somebody who may not sign in
      def self.signed_in(id, sessions)
        SIGNED_IN.first(id: id, sessions: Sequel.pg_array(sessions, :text))
      end

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
