# frozen_string_literal: true

require "bcrypt"

module UprightBench
  module Web
    module SignIn
      # How the sign-in page slows down whoever guesses.
      module Tries
        # Nobody's password, for a comparison that takes as long as a real one.
        NOBODYS = BCrypt::Password.create("nobody's").freeze

        module_function

        # @param typed [String] the password
        def compare_for_nothing(typed)
          NOBODYS.is_password?(typed.to_s)
        end

        # @return [String] as in "2 minutes"
        def words(seconds)
          seconds < 60 ? "#{seconds} s" : "#{(seconds / 60.0).ceil} min"
        end
      end
    end
  end
end
