# frozen_string_literal: true

module UprightBench
  module Services
    # A customer's phone as it is kept: in one form, whatever it was typed in.
    module Phone
      module_function

      # @param fields [Hash] columns of a customer
      # @return [Hash] the same, with the phone in E.164 where it is a number of the plan of their country
      def kept(fields)
        return fields unless fields[:phone]

        country = fields[:country] || ShopOnFile.call.country
        { **fields, phone: Formats::PhoneNumber.kept(fields[:phone], country) }
      end
    end
  end
end
