# frozen_string_literal: true

module UprightBench
  module Models
    # What a customer agreed to, as it was then. The newest of a job counts.
    class Estimate < Sequel::Model(:estimates)
      include Core::Money::Priced

      many_to_one :job
      many_to_one :writer, class: "UprightBench::Models::Person", key: :written_by

      # @param rows [Array<Hash>] as stored; what the shop wrote first calls a line's price net_cents
      # @return [Array<Core::Money::Line>]
      def self.read_lines(rows)
        rows.map do |row|
          fields = row.to_hash.transform_keys { |name| name == "net_cents" ? :price_cents : name.to_sym }
          Core::Money::Line.new(**fields, kind: row["kind"].to_sym)
        end
      end

      # @return [Array<Core::Money::Line>]
      def to_lines
        @to_lines ||= self.class.read_lines(lines)
      end
    end
  end
end
