# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # A way a card can go: everything that is true of one channel and not of the others stands in its class, in
      # channels/. How a card is handed over is told by the class of the same name in the outbox.
      class Channel
        # @return [Symbol] as the database and the texts name it
        def key
          self.class.name.split("::").last.downcase.to_sym
        end

        # @return [String] as in "by e-mail"
        def by
          "by #{words}"
        end

        # @return [Symbol] the customer's column that says whether they agreed to it
        def agreed_column
          :"#{key}_agreed"
        end

        # @param customer [#email, #phone]
        # @param _shop [#address_of] that writes
        # @return [String, nil] where a card goes
        def recipient(customer, _shop)
          customer.public_send(address_column)
        end

        # @param notice [Notice]
        # @return [String] a notice about a job, as it goes this way
        def told(notice)
          notice.short
        end

        # @!method rank
        #   @return [Integer] what costs least is taken first
        # @!method words
        #   @return [String] as in "e-mail"
        # @!method agreed_words
        #   @return [String] as in "agreed to texts"
        # @!method agreed_elsewhere
        #   @return [Array<String>] what the column of that agreement is called in lists of others (common practice)
        # @!method tells?
        #   @return [Boolean] whether notices about a job go this way too
        # @!method lead_days
        #   @return [Integer] how long before the due date a card leaves, unless the owner says otherwise
        # @!method address_column
        #   @return [Symbol] the customer's column without which nothing can be sent
        # @!method parts
        #   @return [Hash{Symbol=>Symbol}] each text of Texts that a card needs to leave this way, with the method of
        #     Letter that fills it
        # @!method written(letter, most_tasks:)
        #   @param most_tasks [Integer] as many as the paper holds
        #   @return [Array(String, String)] subject (nil where there is none) and text
        #   @raise [Wording::Missing]
      end
    end
  end
end
