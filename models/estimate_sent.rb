# frozen_string_literal: true

module UprightBench
  module Models
    # What was put before the customer, as it was then. The newest of a job counts, until its day.
    class EstimateSent < Sequel::Model(:estimates_sent)
      include Core::Money::Priced

      # @return [Array<Core::Money::Line>]
      def to_lines
        @to_lines ||= Estimate.read_lines(lines)
      end

      # @param today [Date]
      def stands?(today)
        valid_until >= today
      end
    end
  end
end
