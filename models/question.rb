# frozen_string_literal: true

module UprightBench
  module Models
    # What a customer asked about a job, and what the shop replied.
    class Question < Sequel::Model(:questions)
      many_to_one :job
      many_to_one :replier, class: "UprightBench::Models::Person", key: :replied_by

      dataset_module do
        where :unanswered, reply: nil
      end
    end
  end
end
