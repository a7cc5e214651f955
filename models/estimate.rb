# frozen_string_literal: true

module UprightBench
  module Models
    # What a customer agreed to, as it was then. The newest of a job counts.
    class Estimate < Sequel::Model(:estimates)
      many_to_one :job
      many_to_one :writer, class: "UprightBench::Models::Person", key: :written_by

      # @param rows [Array<Hash>] as stored
      # @return [Array<Core::Money::Line>]
      def self.read_lines(rows)
        rows.map { |row| Core::Money::Line.new(**row.to_hash.transform_keys(&:to_sym), kind: row["kind"].to_sym) }
      end

      # @return [Array<Core::Money::Line>]
      def to_lines
        @to_lines ||= self.class.read_lines(lines)
      end
    end
  end
end
