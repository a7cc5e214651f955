# frozen_string_literal: true

module UprightBench
  module Models
    # One stay of a machine in the shop, from taking in to handing over.
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
      one_to_many :work_items, order: :sequence
      many_to_one :made_safe_person, class: "UprightBench::Models::Person", key: :made_safe_by

      dataset_module do
        exclude :in_shop, Sequel[:jobs][:state] => Core::Jobs::States.names(:over)
      end

      # @return [Core::Sheets::Sheet] the version the job began with
      def sheet
        SheetVersion.parsed(sheet_version_id)
      end

      # Asked by the name of the set, as in `job.agreed?`.
      Core::Jobs::States::SETS.each_key { |set| define_method(:"#{set}?") { Core::Jobs::States.in?(set, state) } }

      # @return [Symbol] a key of Core::Jobs::States::STEPS
      def step
        Core::Jobs::States.step(state)
      end

      # @return [String] as in "taken in"
      def state_words
        Core::Jobs::States::WORDS.fetch(state.to_sym)
      end

      def may_become?(next_state)
        Core::Jobs::States.may_follow?(state, next_state)
      end
    end
  end
end
