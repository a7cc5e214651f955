# frozen_string_literal: true

module UprightBench
  module Services
    # How the shop's papers look: on which sheets, and with its logo.
    module PaperLook
      module_function

      # @param policies [Policies] as the caller has read them
      # @param shop [Models::Shop]
      # @return [Hash] as Papers::Paper#render takes it
      def of(policies: Policies.now, shop: ShopOnFile.call)
        { sheets: policies["sheets"], logo: KeepLogo.path(shop)&.to_s }
      end
    end
  end
end
