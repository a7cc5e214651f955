# frozen_string_literal: true

module UprightBench
  module Models
    # What a customer is told about a job.
    class Notice < Sequel::Model(:notices)
      many_to_one :job
      many_to_one :bill
      many_to_one :teller, class: "UprightBench::Models::Person", key: :told_by

      # @return [String] what it says
      def says
        { "ready" => "it is ready", "fetch" => "it still waits", "late" => "it will be later",
          "estimate" => "there is an estimate" }.fetch(kind)
      end

      dataset_module do
        exclude :standing, state: "withdrawn"
      end
    end
  end
end
