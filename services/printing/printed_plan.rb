# frozen_string_literal: true

module UprightBench
  module Services
    # A year of a customer's machines in as few visits as there can be, with the parts to have there.
    class PrintedPlan < PrintedDues
      # @param visit [PlanYear::Visit]
      # @return [Array<Hash>] a machine and day each, as Papers::DueList takes them
      def self.machines(visit)
        visit.rows.map { |row| { date: visit.date, overdue: false, **row } }
      end

      def name
        "plan"
      end

      private

      def title
        "Visits of #{@customer.name}"
      end

      def rows
        @rows ||= PlanYear.call(@customer, today: today, policies: Policies.now).flat_map { |visit| self.class.machines(visit) + parts_of(visit) }
      end

      def parts_of(visit)
        visit.parts.map { |part, pieces| { date: visit.date, overdue: false, machine: "Part to have there", what: ["#{pieces} × #{part.name} #{part.number}"] } }
      end
    end
  end
end
