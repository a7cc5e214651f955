# frozen_string_literal: true

module UprightBench
  module Services
    # Signing in and out, and what one does to one's own account, as history: whoever may only look does that too. What
    # was typed is not kept: it may be a password in the wrong field.
    module SignIns
      VERBS = ["signed in", "signed out", "sign-in failed", "changed the password", "set up a second factor",
               "took off their second factor", "added a passkey", "took off a passkey", "changed the PIN",
               "took over by PIN", "ended a sign-in"].freeze
      NOBODY = 0 # an account that there is not

      module_function

      # @param verb [String] of VERBS
      # @param person_id [Integer, nil] whose account it was; nil when there is none of that name
      def note(verb, person_id, at:)
        raise ArgumentError, "no such verb: #{verb}" unless VERBS.include?(verb)

        person = Models::Person.with_pk(person_id) if person_id
        by = verb == "sign-in failed" ? Actor.sign_in_page : person
        id = Models::Event.insert(verb: verb, subject: "people", subject_id: person_id || NOBODY, at: at,
          person_id: by.id, actor: by.name, address: Whence.now, data: Sequel.pg_jsonb({}))
        TellStaff.of(id) if TellStaff::WORDS.key?(verb)
      end
    end
  end
end
