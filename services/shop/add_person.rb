# frozen_string_literal: true

require "bcrypt"

module UprightBench
  module Services
    # Gives somebody of the staff a sign-in.
    module AddPerson
      module_function

      # @param role [String] technician, counter or owner
      # @return [Models::Person]
      def call(name:, email:, role:, password:, at:)
        Models::Person.create(name: name, email: email, role: role, password_hash: BCrypt::Password.create(password),
          created_at: at)
      end
    end
  end
end
