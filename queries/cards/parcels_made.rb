# frozen_string_literal: true

module UprightBench
  module Queries
    # Parcels that are packed or on their way, and those that ended lately.
    module ParcelsMade
      MOST = 60

      module_function

      # @return [Array<Models::Parcel>] the oldest first
      def under_way
        Models::Parcel.under_way.eager(:customer, :bill, machine: :sheet).order(:id).limit(MOST).all
      end

      # @return [Array<Models::Parcel>] the newest first
      def ended
        Models::Parcel.exclude(state: %w[packed sent]).eager(:customer, :bill).reverse(:id).limit(MOST).all
      end
    end
  end
end
