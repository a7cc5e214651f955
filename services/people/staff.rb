# frozen_string_literal: true

module UprightBench
  module Services
    # Who works here: added, changed, locked out, let in again. A shop keeps at least one owner who can sign in.
    module Staff
      module_function

      # @param fields [Hash] name, email, role
      # @return [Array(Models::Person, String)] and the first password, which is told once
      # @raise [Invalid] when the address is taken
      def add(fields, by:, at:)
        Permissions.check!(:people, by)
        password = Passwords.made
        DB.transaction do
          person = told { AddPerson.call(**fields, password: password, password_given: true, at: at) }
          History.note("added", person, by: by, at: at, data: { role: person.role })
          [person, password]
        end
      end

      # @param fields [Hash] name, email, role
      # @raise [Invalid] when the address is taken
      # @raise [Refused] when no owner would be left
      def change(person, fields, by:, at:)
        Permissions.check!(:people, by)
        alone do
          person.lock!
          keep_an_owner(person) if fields[:role] != "owner"
          changed = fields.reject { |name, value| person[name] == value }
          next if changed.empty?

          before = person.email
          told { person.update(changed) }
          event = History.note("changed", person, by: by, at: at, data: changed)
          TellStaff.of(event, to: before) if changed.key?(:email)
        end
      end

      # When they work at the bench, and what they may do there.
      # @param fields [Hash] at_bench, bench_hours (nil for the shop's), skills
      # @raise [Invalid] when the hours run backwards
      def put_at_bench(person, fields, by:, at:)
        Permissions.check!(:people, by)
        hours = fields.fetch(:bench_hours)
        OpenHours.for(hours: hours, closed_days: [], time_zone: Config::Zone.name) if hours
        DB.transaction do
          person.lock!
          person.update(at_bench: fields.fetch(:at_bench), bench_hours: hours && Sequel.pg_jsonb(hours),
            skills: Sequel.pg_array(fields.fetch(:skills), :text))
          History.note("changed", person, by: by, at: at,
            data: { **fields.slice(:at_bench, :skills), own_hours: !hours.nil? })
          MakePlan.ask
        end
      end

      # Locked out at once, everywhere; their name stays in the history.
      # @raise [Refused] when no owner would be left
      def close(person, by:, at:)
        Permissions.check!(:people, by)
        alone do
          person.lock!
          keep_an_owner(person)
          person.update(status_id: Models::Person::CLOSED, pin_hash: nil)
          sign_out(person)
          History.note("locked out", person, by: by, at: at)
        end
      end

      # With a new password: the old one may be known to whoever it was taken from.
      # @return [String] which is told once
      def let_in(person, by:, at:)
        give_password(person, by: by, at: at, status_id: Models::Person::OPEN, verb: "let in again")
      end

      # @return [String] which is told once
      def give_password(person, by:, at:, verb: "gave a new password", **more)
        Permissions.check!(:people, by)
        password = Passwords.made
        DB.transaction do
          person.lock!
          person.update(password_hash: Passwords.digest(password), password_given: true, password_given_at: at,
            pin_hash: nil, **more)
          sign_out(person)
          TellStaff.of(History.note(verb, person, by: by, at: at))
        end
        password
      end

      # Their phone is gone, and what they wrote down with it.
      def take_off_factor(person, by:, at:)
        SecondFactor.take_off(person, by: by, at: at)
      end

      # For a shop that was read from an archive, where nobody has a password.
      # @return [Array(Models::Person, String), nil] an owner and their password; nil where there is none
      def first_owner_anew(at:)
        owner = Models::Person.may_sign_in.where(role: "owner").order(:id).first
        owner && [owner, give_password(owner, by: owner, at: at)]
      end

      # One of one's own: a device that was left somewhere.
      def end_session(person, id, at:)
        ended = DB[:person_sessions].where(person_id: person.id, id: id).delete
        SignIns.note("ended a sign-in", person.id, at: at) if ended.positive?
      end

      # Everywhere, at once.
      def sign_out(person)
        DB[:person_sessions].where(person_id: person.id).delete
      end

      def keep_an_owner(person)
        others = Models::Person.may_sign_in.where(role: "owner").exclude(id: person.id)
        raise Refused, "Somebody has to be the owner: make another one first." if person.owner? && others.empty?
      end

      # Two owners at once must not lock out each other.
      def alone
        DB.transaction do
          OneAtATime.wait("staff", "owners")
          yield
        end
      end

      def told(&)
        Constraint.told({ "people_email" => lambda {
          raise Invalid, { email: ["is somebody's already"] }
        } }, &)
      end
      private_class_method :keep_an_owner, :alone, :told
    end
  end
end
