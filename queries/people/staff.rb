# frozen_string_literal: true

module UprightBench
  module Queries
    # Who works here, and where somebody is signed in.
    module Staff
      # created_at and last_use of a sign-in
      Session = Struct.new(:created_at, :last_use, keyword_init: true)

      module_function

      # @return [Array<Models::Person>] who may sign in before who left, by name
      def all
        Models::Person.order(:status_id, Sequel.function(:lower, :name), :id).all
      end

      # @param person [Models::Person]
      # @return [Array<Session>] the newest first
      def sessions(person)
        DB[:person_sessions].where(person_id: person.id).reverse(:last_use).select(:created_at, :last_use)
          .map { |row| Session.new(**row) }
      end
    end
  end
end
