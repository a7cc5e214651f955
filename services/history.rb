# frozen_string_literal: true

module UprightBench
  module Services
    # Writes down who did what, when. The table refuses to be rewritten.
    module History
      CUSTOMER = "customer"

      module_function

      # @param verb [String] as in "took in"
      # @param subject [Sequel::Model]
      # @param by [Models::Person, nil] nil for a customer behind a card's code
      def note(verb, subject, by:, at:, job: nil, data: {})
        Models::Event.insert(verb: verb, subject: subject.model.table_name.to_s, subject_id: subject.id, at: at,
                             person_id: by&.id, actor: by&.name || CUSTOMER, job_id: job&.id, data: Sequel.pg_jsonb(data))
      end
    end
  end
end
