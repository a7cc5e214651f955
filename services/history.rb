# frozen_string_literal: true

module UprightBench
  module Services
    # Writes down who did what, when. The table refuses to be rewritten.
    module History
      module_function

      # @param verb [String] as in "took in"
      # @param subject [Sequel::Model]
      # @param by [Models::Person, Actor]
      # @param may [Symbol] a row of the table of permissions; what only reads may be done by who looks only
      # @return [Integer] the event's id
      # @raise [Forbidden] for somebody who may only look, whatever let them get so far; what was begun is rolled back
      #   with it
      def note(verb, subject, by:, at:, job: nil, data: {}, may: :work)
        Permissions.check!(may, by)
        MakePlan.ask if job
        Models::Event.insert(verb: verb, subject: subject.model.table_name.to_s, subject_id: subject.id, at: at,
          person_id: by.id, actor: by.name, job_id: job&.id, address: (Whence.now unless by.id.nil?),
          data: Sequel.pg_jsonb(data))
      end
    end
  end
end
