# frozen_string_literal: true

module UprightBench
  module Services
    # What is asked for beside somebody's password: a code from their phone, or a passkey. Set up and taken off by
    # themselves, taken off by the owner when it is gone, and required of a role.
    module SecondFactor
      # table => its column of the person
      TABLES = { person_otp_keys: :id, person_passkeys: :person_id, person_recovery_codes: :id }.freeze
      ASKED_FOR = TABLES.except(:person_recovery_codes).freeze

      module_function

      # @param on [Boolean] whether it was set up, or taken off
      def changed_phone(person_id, on:, at:)
        changed(person_id, on ? "set up a second factor" : "took off their second factor", at: at)
      end

      def added_passkey(person_id, at:)
        changed(person_id, "added a passkey", at: at)
      end

      def removed_passkey(person_id, at:)
        changed(person_id, "took off a passkey", at: at)
      end

      # Written codes stand in for what is asked for, and go with the last of it.
      def changed(person_id, verb, at:)
        DB.transaction do
          left = ASKED_FOR.any? { |table, column| DB[table].where(column => person_id).any? }
          Models::Person.where(id: person_id).update(second_factor: left)
          DB[:person_recovery_codes].where(id: person_id).delete unless left
          SignIns.note(verb, person_id, at: at)
        end
      end

      # For somebody whose phone is gone, and their codes with it. They are signed out everywhere.
      def take_off(person, by:, at:)
        Permissions.check!(:people, by)
        DB.transaction do
          person.lock!
          TABLES.each { |table, column| DB[table].where(column => person.id).delete }
          person.update(second_factor: false)
          Staff.sign_out(person)
          TellStaff.of(History.note("took off a second factor", person, by: by, at: at))
        end
      end

      # @param roles [Array<String>] that have to have one
      # @raise [Invalid] for a role that there is not
      def require(roles, by:, at:)
        Permissions.check!(:people, by)
        raise Invalid, { base: ["There is no such role."] } if (roles - Core::Access::Roles::ALL).any?

        shop = Models::Shop.the
        return if shop.second_factor_roles.to_a.sort == roles.sort

        shop.update(second_factor_roles: Sequel.pg_array(roles, :text))
        History.note("said who needs a second factor", shop, by: by, at: at, data: { roles: roles })
      end
      private_class_method :changed
    end
  end
end
