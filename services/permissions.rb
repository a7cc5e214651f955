# frozen_string_literal: true

module UprightBench
  module Services
    # Which role may do what. One row for each thing that not everybody may do; all other work is `:work`.
    module Permissions
      STAFF = %w[technician counter owner].freeze
      OWNER = %w[owner].freeze

      # what => roles, and the words for whoever may not
      TABLE = {
        work: [STAFF, "You may look, and change nothing."],
        rough_sheets: [STAFF, "You may look, and change nothing."],
        sheets: [%w[technician owner], "Only a technician or the owner changes a full sheet. At the counter a rough " \
                                       "one can be begun."],
        people: [OWNER, "Only the owner says who works here."],
        settings: [OWNER, "Only the owner may change the settings."],
        card_words: [OWNER, "Only the owner may change what the cards say."],
        card_offers: [OWNER, "Only the owner may change what the cards offer."],
        forgetting: [OWNER, "Only the owner may have a customer forgotten."],
        bulk_export: [OWNER, "Only the owner may take the whole list out."],
        moving_out: [OWNER, "Only the owner takes everything out."],
        customer_file: [OWNER, "Only the owner hands out all that is kept of a customer."],
        moving_in: [OWNER, "Only the owner brings customers in from a file."],
        credits: [%w[counter owner], "Only the counter or the owner takes a bill back."],
        parts: [%w[technician owner], "Only a technician or the owner puts parts on file or changes them."],
        price_lists: [OWNER, "Only the owner may change parts and prices by a list."]
      }.freeze

      module_function

      # @param what [Symbol] a row of TABLE
      # @param by [Models::Person, Actor]
      # @raise [KeyError] when there is no such row
      def allow?(what, by)
        roles, = TABLE.fetch(what)
        by.is_a?(Actor) || roles.include?(by.role)
      end

      # @return [true]
      # @raise [Forbidden]
      # @raise [ArgumentError] when nobody is named
      def check!(what, by)
        raise ArgumentError, "who does this is not said" if by.nil?

        allow?(what, by) || raise(Forbidden, TABLE.fetch(what).last)
      end

      # Whoever begins a rough sheet at the counter leaves full ones alone.
      # @param contents [Array<Hash, nil>] what stands and what shall stand instead
      # @return [Symbol] a row of TABLE
      def of_sheets(*contents)
        contents.compact.all? { |content| content["rough"] } ? :rough_sheets : :sheets
      end
    end
  end
end
