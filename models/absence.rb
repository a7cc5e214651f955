# frozen_string_literal: true

module UprightBench
  module Models
    # When somebody who works at the bench is away, though the shop is open.
    class Absence < Sequel::Model(:absences)
      many_to_one :person

      dataset_module do
        where :standing, called_off_at: nil
      end
    end
  end
end
