# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # How a customer may be reached: the channels agreed to, and whether there is an address for each.
      class Address
        include Value

        fields email: nil, street: nil, email_agreed: false, post_agreed: false, stopped: false

        # @return [Symbol, nil] :email before :post; nil when neither may be used
        def channel
          return if stopped
          return :email if email_agreed && email
          return :post if post_agreed && street

          nil
        end

        # @return [String, nil] why no card can be sent
        def obstacle
          return if channel
          return "asked us to stop writing" if stopped
          return "has not agreed to any channel" unless email_agreed || post_agreed

          "agreed, but there is no address"
        end
      end
    end
  end
end
