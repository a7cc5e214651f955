# frozen_string_literal: true

module UprightBench
  module Services
    # The code from somebody's phone after the password: set up and taken off by themselves, taken off by the owner when
    # the phone is gone, and required of a role.
    module SecondFactor
      TABLES = %i[person_otp_keys person_recovery_codes].freeze

      module_function

      # @param on [Boolean] whether it was set up, or taken off
      def changed(person_id, on:, at:)
        DB.transaction do
          Models::Person.where(id: person_id).update(second_factor: on)
          DB[:person_recovery_codes].where(id: person_id).delete unless on
          SignIns.note(on ? "set up a second factor" : "took off their second factor", person_id, at: at)
        end
      end

      # For somebody whose phone is gone, and their codes with it. They are signed out everywhere.
      def take_off(person, by:, at:)
        Permissions.check!(:people, by)
        DB.transaction do
          person.lock!
          TABLES.each { |table| DB[table].where(id: person.id).delete }
          person.update(second_factor: false)
          Staff.sign_out(person)
          History.note("took off a second factor", person, by: by, at: at)
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
    end
  end
end
