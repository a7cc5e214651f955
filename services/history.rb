# frozen_string_literal: true

module UprightBench
  module Services
    # Writes down who did what, when. The table refuses to be rewritten.
    module History
      module_function

      # @param verb [String] as in "took in"
      # @param subject [Sequel::Model]
      # @param by [Models::Person, Actor]
      # @raise [Forbidden] for somebody who may only look, whatever let them get so far; what was begun is rolled back
      #   with it
      def note(verb, subject, by:, at:, job: nil, data: {})
        Permissions.check!(:work, by)
        Models::Event.insert(verb: verb, subject: subject.model.table_name.to_s, subject_id: subject.id, at: at,
          person_id: by.id, actor: by.name, job_id: job&.id, data: Sequel.pg_jsonb(data))
      end
    end
  end
end
