# frozen_string_literal: true

module UprightBench
  module Queries
    # Who works here, and where somebody is signed in.
    module Staff
      # A sign-in: since when, when it was used last, on what, and whether it is the one that asks.
      Session = Struct.new(:id, :created_at, :last_use, :device, :here, keyword_init: true)

      module_function

      # @return [Array<Models::Person>] who may sign in before who left, by name
      def all
        Models::Person.order(:status_id, Sequel.function(:lower, :name), :id).all
      end

      # @param ids [Array<Integer>]
      # @return [Hash{Integer=>String}]
      def names(ids)
        Models::Person.where(id: ids).select_hash(:id, :name)
      end

      # @return [Boolean] whether a code from their phone is asked for
      def phone?(person)
        DB[:person_otp_keys].where(id: person.id).any?
      end

      # @param person [Models::Person]
      # @param digest [String, nil] of the one that asks
      # @return [Array<Session>] the newest first
      def sessions(person, digest)
        DB[:person_sessions].where(person_id: person.id).reverse(:last_use)
          .select(:id, :created_at, :last_use, :device, Sequel.as({ session_id: digest }, :here))
          .map { |row| Session.new(**row) }
      end
    end
  end
end
