# frozen_string_literal: true

module UprightBench
  module Queries
    # A customer's machines as they are taken in together, and the jobs that came of it.
    module FleetMachines
      MOST = 500

      module_function

      # @return [Array<Models::Machine>] with their sheets
      def call(customer)
        customer.machines_dataset.where(state: %w[in_use stored]).eager(:sheet).order(:id).limit(MOST).all
      end

      # @return [Hash{Integer=>Integer}] machine's id => number of the job under way
      def on_bench(customer)
        Models::Job.in_shop.where(customer_id: customer.id).select_hash(:machine_id, :number)
      end

      # @param numbers [Range<Integer>]
      # @return [Array<Models::Job>] with customer, machine and sheet
      def taken_in(customer_id, numbers)
        Models::Job.where(number: numbers, customer_id: customer_id).order(:number).limit(MOST)
          .eager(:customer, machine: :sheet).all
      end

      # @param serial_numbers [Array<String>]
      # @return [Hash{String=>Array<Models::Machine>}] by serial number
      def known(serial_numbers)
        Models::Machine.where(serial_number: serial_numbers).all.group_by(&:serial_number)
      end

      # @return [Hash{String=>Models::Sheet}] by maker and model in small letters
      def sheets_by_title
        Models::Sheet.all.to_h { |sheet| [sheet.title.downcase, sheet] }
      end
    end
  end
end
