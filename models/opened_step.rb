# frozen_string_literal: true

module UprightBench
  module Models
    # A step of opening a machine that was done in a job, from opened to closed.
    class OpenedStep < Sequel::Model(:opened_steps)
      many_to_one :job
      many_to_one :opener, class: "UprightBench::Models::Person", key: :opened_by
      many_to_one :closer, class: "UprightBench::Models::Person", key: :closed_by
      one_to_many :differences, class: "UprightBench::Models::TrayDifference", key: :opened_step_id, order: :id

      dataset_module do
        where :standing, closed_at: nil
      end
    end
  end
end
