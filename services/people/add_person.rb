# frozen_string_literal: true

module UprightBench
  module Services
    # Gives somebody of the staff a sign-in.
    module AddPerson
      module_function

      # @param role [String] technician, counter or owner
      # @return [Models::Person]
      def call(name:, email:, role:, password:, at:, password_given: false)
        Models::Person.create(name: name, email: email, role: role, password_hash: Passwords.digest(password),
          password_given: password_given, password_given_at: (at if password_given), created_at: at,
          at_bench: role == "technician")
      end
    end
  end
end
