# frozen_string_literal: true

module UprightBench
  module Models
    # A clocked task of a position of a machine, in one cycle.
    class Due < Sequel::Model(:dues)
      many_to_one :machine
      one_to_many :changes, class: "UprightBench::Models::DueChange", order: Sequel.desc(:id)

      dataset_module do
        where :running, Sequel[:dues][:state] => "open"
      end

      # @return [Array<Core::Reason>] why it is due on its day, the deciding one first
      def why
        reasons.map { |reason| Core::Reason.stored(reason) }
      end
    end
  end
end
