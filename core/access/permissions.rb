# frozen_string_literal: true

module UprightBench
  module Core
    module Access
      # What somebody who works here may do, and which roles may do it unless the owner says otherwise. One row for each
      # thing that not everybody may do; a route names its row, and the service asks for it again.
      module Permissions
        # @!attribute words [String] what it is, as in "Send cards"
        # @!attribute refusal [String] what is said to whoever may not
        # @!attribute roles [Array<String>] who may, unless the owner says otherwise
        # @!attribute fixed [Boolean] the owner cannot say otherwise
        # @!attribute reading [Boolean] nothing is written: whoever looks only may be let do it
        Row = Struct.new(:key, :words, :refusal, :roles, :fixed, :reading, keyword_init: true)

        STAFF = %w[technician counter owner].freeze
        BENCH = %w[technician owner].freeze
        COUNTER = %w[counter owner].freeze
        OWNER = %w[owner].freeze

        def self.row(key, words, refusal, roles, fixed: false, reading: false)
          Row.new(key: key, words: words, refusal: refusal, roles: roles, fixed: fixed, reading: reading).freeze
        end
        private_class_method :row

        ALL = [
          row(:work, "Work: take in, look over, settle, hand over", "You may look, and change nothing.", STAFF,
            fixed: true),
          row(:rough_sheets, "Begin rough sheets", "You may look, and change nothing.", STAFF, fixed: true),
          row(:sheets, "Change full sheets", "Only a technician or the owner changes a full sheet. At the counter a " \
                                             "rough one can be begun.", BENCH),
          row(:parts, "Put parts on file, change them and what they fit", "Only a technician or the owner puts parts " \
                                                                          "on file or changes them.", BENCH),
          row(:stock, "Move and count stock", "You may not move or count stock.", STAFF),
          row(:orders, "Order from suppliers", "You may not order from suppliers.", STAFF),
          row(:see_prices, "See prices, bills and what is owed", "You may not see prices.", Roles::ALL, reading: true),
          row(:see_costs, "See what parts cost the shop", "You may not see what parts cost the shop.", STAFF,
            reading: true),
          row(:price_lists, "Change parts and prices by a list", "Only the owner may change parts and prices by a " \
                                                                 "list.", OWNER),
          row(:big_discounts, "Take off more than the limit", "Only the owner takes off more than the limit.", OWNER),
          row(:take_money, "Take payments, count the drawer", "You may not take payments.", STAFF),
          row(:credits, "Take a bill back", "Only the counter or the owner takes a bill back.", COUNTER),
          row(:reopen, "Take back what was closed or handed over", "You may not take back what was closed.", STAFF),
          row(:send_cards, "Send cards, steer batches", "You may not send cards.", STAFF),
          row(:card_words, "Change what cards say", "Only the owner may change what the cards say.", OWNER),
          row(:card_offers, "Change what cards offer", "Only the owner may change what the cards offer.", OWNER),
          row(:settings, "Change settings and the shop's name", "Only the owner may change the settings.", OWNER),
          row(:forgetting, "Have a customer forgotten", "Only the owner may have a customer forgotten.", OWNER),
          row(:customer_file, "Hand out all that is kept of a customer", "Only the owner hands out all that is kept " \
                                                                         "of a customer.", OWNER),
          row(:bulk_export, "Export all customers, parts and prices", "Only the owner may take the whole list out.",
            OWNER, reading: true),
          row(:moving_in, "Import customers", "Only the owner brings customers in from a file.", OWNER),
          row(:moving_out, "Take everything out in one file", "Only the owner takes everything out.", OWNER,
            fixed: true),
          row(:audit, "See what everybody did", "Only the owner sees what everybody did.", OWNER, fixed: true,
            reading: true),
          row(:people, "Say who works here and what they may do", "Only the owner says who works here.", OWNER,
            fixed: true)
        ].freeze
        BY_KEY = ALL.to_h { |row| [row.key, row] }.freeze
        LOOK_ONLY = "look_only"
        # Roles of which the owner says what they may.
        SAID = (Roles::ALL - OWNER).freeze

        module_function

        # @param key [Symbol]
        # @return [Row]
        # @raise [KeyError] when there is no such row
        def fetch(key)
          BY_KEY.fetch(key)
        end

        # @return [Array<Row>] those of which the owner says who may
        def changeable
          ALL.reject(&:fixed)
        end

        # @param role [String]
        # @return [Boolean] whether it makes sense to let this role do it: who looks only writes nothing
        def fits?(row, role)
          !row.fixed && (role != LOOK_ONLY || row.reading)
        end

        # @param role [String]
        # @return [Array<Symbol>] what it may unless the owner says otherwise
        def usual(role)
          ALL.select { |row| row.roles.include?(role) }.map(&:key)
        end

        # @param role [String]
        # @param said [Array<Symbol>, nil] what the owner said that it may, of the changeable ones; nil when nothing
        # @return [Boolean]
        def allow?(key, role, said)
          row = fetch(key)
          return true if role == "owner"

          said.nil? || row.fixed ? row.roles.include?(role) : said.include?(key)
        end
      end
    end
  end
end
