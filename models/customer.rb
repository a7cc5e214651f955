# frozen_string_literal: true

module UprightBench
  module Models
    # A person or firm, and the channels agreed to.
    class Customer < Sequel::Model(:customers)
      plugin :optimistic_locking
      one_to_many :machines, order: :id
      one_to_many :cards, order: Sequel.desc(:id)

      # @return [Core::Cards::Address]
      def to_core
        Core::Cards::Address.new(email: email, street: street, email_agreed: email_agreed, post_agreed: post_agreed,
                                 stopped: !stopped_on.nil?)
      end
    end
  end
end
