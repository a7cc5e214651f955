# frozen_string_literal: true

module UprightBench
  module Services
    # A colleague takes over a tablet that somebody is signed in on, by a short PIN, so that the history names who did
    # it. Never an owner, nor whoever has a second factor: a PIN is too little for them.
    module Pins
      module_function

      # @return [Array<Models::Person>] who can take over, by name
      def who
        return [] unless Models::Shop.the.pins

        Models::Person.may_sign_in.exclude(pin_hash: nil).where(second_factor: false, password_given: false)
          .exclude(role: "owner").order(Sequel.function(:lower, :name), :id).all
      end

      # One's own, with the password; an empty one takes it away.
      # @return [Integer, nil] seconds to wait, after too many wrong passwords
      # @raise [Invalid]
      def set(person, pin:, password:, at:, address:)
        tries = SignInTries.new(login: person.email, address: address, key: SETTINGS.keys.newest(:sign_in))
        wait = tries.begin(at: at) and return wait
        raise Invalid, { pin_password: ["is not right"] } unless Passwords.right?(person, password)

        tries.right
        problem = pin.empty? ? nil : Core::Access::Pin.problem(pin)
        raise Invalid, { pin: [problem] } if problem

        DB.transaction do
          person.update(pin_hash: pin.empty? ? nil : Passwords.digest(pin))
          SignIns.note("changed the PIN", person.id, at: at)
        end
        nil
      end

      # @param person_id [Integer] who takes over
      # @param address [String] of the tablet
      # @return [Models::Person, Integer, nil] who took over; seconds to wait; nil when the PIN is wrong
      def take_over(person_id, pin:, at:, address:)
        person = who.find { |one| one.id == person_id } or return
        tries = SignInTries.new(login: "pin of #{person.id}", address: address, key: SETTINGS.keys.newest(:sign_in))
        wait = tries.begin(at: at) and return wait

        unless BCrypt::Password.new(person.pin_hash) == pin
          SignIns.note("sign-in failed", person.id, at: at)
          return
        end
        tries.right
        SignIns.note("took over by PIN", person.id, at: at)
        person
      end

      # @param on [Boolean]
      def allow(on, by:, at:)
        Permissions.check!(:people, by)
        shop = Models::Shop.the
        return if shop.pins == on

        shop.update(pins: on)
        History.note(on ? "let PINs take over" : "let PINs take over no longer", shop, by: by, at: at)
      end
    end
  end
end
