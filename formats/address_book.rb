# frozen_string_literal: true

require "vcard"

module UprightBench
  module Formats
    # Customers as cards of an address book (vCard 3.0, RFC 2426; 4.0, RFC 6350, is read too; gem vcard).
    module AddressBook
      COLUMNS = %w[name company phone email street town region postcode country notes].freeze
      BEGINNING = /\A\s*BEGIN:VCARD\s*$/i
      MOST = 100_000 # cards
      # of an address: theirs => ours
      PARTS = { street: :street, locality: :town, region: :region, postalcode: :postcode, country: :country }.freeze

      module_function

      # @param text [String]
      def cards?(text)
        text.byteslice(0, 200).scrub.match?(BEGINNING)
      end

      # @param text [String] UTF-8
      # @return [Array<Array(Hash{String=>String}, Integer)>] cells by column, and the line a card begins on
      # @raise [Malformed]
      def rows(text)
        line = 1
        found = []
        text.split(/^(?=BEGIN:VCARD)/i).each do |card|
          found << [read(card, line), line] if card.match?(BEGINNING)
          raise Malformed, ["There are more than #{MOST} cards in it."] if found.size > MOST

          line += card.count("\n")
        end
        found
      end

      def read(text, line)
        card = Vcard::Vcard.decode(named(text.strip)).first
        cells(card).transform_values { |value| plain(value) }
      rescue Vcard::InvalidEncodingError, Vcard::UnsupportedError, ArgumentError, NoMethodError => e
        raise Malformed, ["Line #{line}: the card cannot be read (#{e.message.lines.first.to_s.strip[0, 80]})."]
      end

      # 4.0 has no need of N, which the gem asks for.
      def named(text)
        return "#{text}\n" if text.match?(/^N[;:]/i)

        "#{text.sub(/^FN[^:\n]*:(.*)$/i) { "#{::Regexp.last_match(0)}\nN:;#{Regexp.last_match(1).strip};;;" }}\n"
      end

      def cells(card)
        { "name" => name(card), "company" => Array(card.org).first, "phone" => phone(card), "email" => card.email,
          **address(card), "notes" => card.note }
      end

      # @param customers [Enumerable<#name, #phone, #email, #street, #town, #region, #postcode, #country, #notes>]
      # @return [Enumerator<String>] a card each, version 3.0
      def write(customers)
        Enumerator.new { |out| customers.each { |customer| out << card(customer) } }
      end

      def card(customer)
        Vcard::Vcard::Maker.make2 do |maker|
          maker.name { |name| name.fullname = name.given = customer.name.dup } # the gem strips it in place
          maker.add_tel(customer.phone) if customer.phone
          maker.add_email(customer.email) if customer.email
          write_address(maker, customer)
          maker.add_note(customer.notes) if customer.notes
        end.to_s
      end

      def write_address(maker, customer)
        return unless [customer.street, customer.town, customer.postcode].any?

        maker.add_addr do |address|
          PARTS.each { |theirs, ours| address.public_send("#{theirs}=", customer.public_send(ours).to_s) }
        end
      end

      def name(card)
        full = card.name&.fullname.to_s
        return full unless full.strip.empty?

        [card.name&.given, card.name&.family].compact.join(" ")
      end

      # As 4.0 may write it: tel:+1-902-425-0142.
      def phone(card)
        card.telephone&.to_s&.sub(/\Atel:/i, "")
      end

      def address(card)
        at = card.address or return {}

        { "street" => [at.pobox, at.extended, at.street].reject { |part| part.to_s.strip.empty? }.join(", "),
          "town" => at.locality, "region" => at.region, "postcode" => at.postalcode, "country" => at.country }
      end

      def plain(value)
        text = value.to_s.strip
        text unless text.empty?
      end
      private_class_method :read, :named, :cells, :card, :write_address, :name, :phone, :address, :plain
    end
  end
end
