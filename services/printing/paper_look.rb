# frozen_string_literal: true

module UprightBench
  module Services
    # How the shop's papers look: on which sheets and labels, and with its logo.
    module PaperLook
      module_function

      # @param policies [Policies] as the caller has read them
      # @param shop [Models::Shop]
      # @param first [String, nil] as it was asked: the first free label of a sheet that was begun, from 1
      # @return [Hash] as Papers::Paper#render takes it
      def of(policies: Policies.now, shop: ShopOnFile.call, first: nil)
        { sheets: policies["sheets"], labels: policies["labels"], tags: policies["tags"],
          logo: KeepLogo.path(shop)&.to_s, first: [first.to_s[0, 3].to_i, 1].max }
      end
    end
  end
end
