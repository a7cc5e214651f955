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
    end
  end
end
