# frozen_string_literal: true

module UprightBench
  module Models
    # A part in a position of a machine since a date; fitted_on nil is unknown history.
    class Fitting < Sequel::Model(:fittings)
      many_to_one :machine
      many_to_one :part

      dataset_module do
        where :in_place, removed_on: nil
      end
    end
  end
end
