# frozen_string_literal: true

module UprightBench
  module Services
    # A year of a customer's machines in as few service days as can be found, with the parts to have there.
    class PrintedPlan < PrintedDues
      # @param service day [PlanYear::ServiceDay]
      # @return [Array<Hash>] a machine and day each, as Papers::DueList takes them
      def self.machines(service_day)
        service_day.rows.map { |row| { date: service_day.date, overdue: false, **row } }
      end

      def name
        "plan"
      end

      private

      def title
        "Visits of #{@customer.name}"
      end

      def rows
        @rows ||= PlanYear.call(@customer, today: today, policies: Policies.now).days
          .flat_map { |service_day| self.class.machines(service_day) + parts_of(service_day) }
      end

      def parts_of(service_day)
        missing = service_day.missing
        service_day.parts.map do |part, pieces|
          to_order = ", #{missing[part]} to order" if missing[part]
          { date: service_day.date, overdue: false, machine: "Part to have there",
            what: ["#{pieces} × #{part.name} #{part.number}#{to_order}"] }
        end
      end
    end
  end
end
