# frozen_string_literal: true

module UprightBench
  module Models
    # What a customer agreed to, as it was then. The newest of a job counts.
    class Estimate < Sequel::Model(:estimates)
      many_to_one :job
      many_to_one :writer, class: "UprightBench::Models::Person", key: :written_by

      # @return [Array<Core::Money::Line>]
      def to_lines
        @to_lines ||= lines.map { |row| Core::Money::Line.new(**row.to_hash.transform_keys(&:to_sym), kind: row["kind"].to_sym) }
      end
    end
  end
end
