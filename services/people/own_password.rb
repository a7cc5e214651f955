# frozen_string_literal: true

module UprightBench
  module Services
    # Somebody changes their own password. Whoever guesses the old one at a device that was left signed in is slowed
    # down as at the sign-in.
    class OwnPassword
      # @param address [String] of the client
      # @return [Integer, nil] seconds to wait; nil when it is changed
      # @raise [Invalid]
      def self.change(person, old:, new:, address:, at:)
        new(person, SignInTries.new(login: person.email, address: address, key: SETTINGS.keys.newest(:sign_in)))
          .call(old, new, at)
      end

      def initialize(person, tries)
        @person = person
        @tries = tries
      end

      def call(old, fresh, at)
        wait = @tries.begin(at: at) and return wait
        raise Invalid, { old: ["is not your password"] } unless Passwords.right?(@person, old)

        @tries.right
        refuse(old, fresh)
        keep(fresh, at)
        nil
      end

      private

      def refuse(old, fresh)
        problem = "is the one that you have" if old == fresh
        problem ||= Passwords.problem(fresh, [@person.name, @person.email])
        raise Invalid, { new: [problem] } if problem
      end

      # All sessions end, for whoever knows the old one may be in one of them.
      def keep(fresh, at)
        DB.transaction do
          @person.lock!
          @person.update(password_hash: Passwords.digest(fresh), password_given: false, password_given_at: nil)
          Staff.sign_out(@person)
          SignIns.note("changed the password", @person.id, at: at)
        end
      end
    end
  end
end
