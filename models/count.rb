# frozen_string_literal: true

module UprightBench
  module Models
    # A count of the shelf, part by part; one at a time.
    class Count < Sequel::Model(:counts)
      many_to_one :beginner, class: "UprightBench::Models::Person", key: :begun_by
      one_to_many :lines, class: "UprightBench::Models::CountLine", order: Sequel.desc(:counted_at)

      # @return [Count, nil] the one under way
      def self.under_way
        first(closed_at: nil)
      end
    end
  end
end
