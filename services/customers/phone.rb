# frozen_string_literal: true

module UprightBench
  module Services
    # A customer's phone as it is kept: in one form, whatever it was typed in.
    module Phone
      module_function

      # @param fields [Hash] columns of a customer
      # @param country [String, nil] the shop's, where the caller knows it
      # @return [Hash] the same, with the phone in E.164 where it is a number of the plan of their country
      def kept(fields, country = nil)
        return fields unless fields[:phone]

        whose = fields[:country] || country || ShopOnFile.call.country
        { **fields, phone: Formats::PhoneNumber.kept(fields[:phone], whose) }
      end
    end
  end
end
