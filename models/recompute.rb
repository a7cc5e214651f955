# frozen_string_literal: true

module UprightBench
  module Models
    # Dates of many machines that are computed again: why, and how far it is.
    class Recompute < Sequel::Model(:recomputes)
      many_to_one :sheet

      dataset_module do
        where :under_way, finished_at: nil
      end

      # @return [Sequel::Dataset] machines with a clock running that it is about
      def machines_dataset
        found = Machine.where(Due.running.where(machine_id: Sequel[:machines][:id]).select(1).exists)
        found = found.where(sheet_id: sheet_id) if sheet_id
        traits ? found.where(Sequel.lit("machines.traits && ?", traits)) : found
      end
    end
  end
end
