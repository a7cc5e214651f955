# frozen_string_literal: true

module UprightBench
  module Models
    # One visit.
    class Job < Sequel::Model(:jobs)
      plugin :optimistic_locking
      many_to_one :machine
      many_to_one :customer
      many_to_one :sheet_version
      one_to_many :findings
      one_to_many :stops
      one_to_many :standing_stops, class: "UprightBench::Models::Stop", key: :job_id, conditions: { cleared_at: nil }
      one_to_many :accessories, order: :id
      one_to_many :pictures, order: :id
      one_to_many :work_items, order: :place
      many_to_one :made_safe_person, class: "UprightBench::Models::Person", key: :made_safe_by

      dataset_module do
        exclude :in_shop, Sequel[:jobs][:state] => "handed_over"
      end

      # @return [Core::Sheets::Sheet] the version the job began with
      def sheet
        SheetVersion.parsed(sheet_version_id)
      end

      # @return [Symbol]
      def stage
        state.to_sym
      end

      def may_become?(stage)
        Core::Jobs::States.may?(self.stage, stage)
      end
    end
  end
end
