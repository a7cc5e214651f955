# frozen_string_literal: true

module UprightBench
  module Web
    module SignIn
      # A password that was given to somebody runs out when they do not come.
      module GivenPassword
        SECONDS = Core::Access::Password::GIVEN_DAYS * 86_400

        module_function

        # @param account [Hash] columns of people
        # @return [Boolean]
        def over?(account, at: Time.now)
          account[:password_given] && !account[:password_given_at].nil? && account[:password_given_at] < at - SECONDS
        end
      end
    end
  end
end
