# frozen_string_literal: true

require "countries"

module UprightBench
  module Formats
    # One row of a list of customers: a customer, and a machine of theirs where it names one.
    class CustomerRow
      FLAGS = { "yes" => true, "y" => true, "true" => true, "1" => true, "x" => true, "ja" => true, "oui" => true,
                "si" => true, "no" => false, "n" => false, "false" => false, "0" => false, "nein" => false,
                "non" => false }.freeze
      # as long as the columns of the database
      LONGEST = { name: 120, phone: 40, email: 200, street: 200, town: 120, region: 60, postcode: 20, notes: 2000,
                  customer_number: 60, maker: 80, model: 80, serial_number: 40 }.freeze
      EMAIL = /\A[^@\s]+@[^@\s]+\.[^@\s]+\z/

      # @!attribute customer [Hash{Symbol=>Object}] columns of a customer
      # @!attribute machine [Hash{Symbol=>Object}, nil] maker, model, kind, serial_number, bought_on, hours_per_week,
      #   last_service_on
      # @!attribute agreed_on [Date, nil]
      Read = Struct.new(:customer, :machine, :agreed_on, :problems, keyword_init: true)

      # @param country [String] the shop's, of two letters
      # @param dates [DatesInOrder]
      # @param today [Date]
      def initialize(country:, dates:, today:)
        @country = country
        @dates = dates
        @today = today
      end

      # @param cells [Hash{String=>String}] our column => cell, without empty ones
      # @return [Read] with `problems`, sentences, where it cannot be taken over
      def read(cells)
        @cells = cells
        @problems = []
        customer = customer_fields
        say("There is neither a name nor a customer number.") unless name_or_number?
        Read.new(customer: customer, machine: machine, agreed_on: past_day("agreed_on"), problems: @problems)
      end

      private

      def name_or_number?
        %w[name first_name last_name company customer_number].any? { |column| @cells[column] }
      end

      def customer_fields
        { name: name, former_number: words("customer_number"), **phone_or_note, email: email, **address,
          fleet: flag("fleet") || false,
          **CustomerColumns::AGREED.to_h { |column| [column.to_sym, flag(column) || false] } }
      end

      def address
        { **%i[street town region postcode].to_h { |field| [field, words(field.to_s)] },
          country: (home unless home == @country) }
      end

      # What is no number of any plan, and more than one, is kept to be read.
      def phone_or_note
        phone = words("phone")
        known = PhoneNumber.e164(phone, home)
        notes = [words("notes"), ("Phone: #{phone}" if phone && !known)].compact
        { phone: known, notes: notes.any? ? notes.join("\n") : nil }
      end

      def name
        whole = words("name") || [words("first_name"), words("last_name")].compact.join(" ")
        company = words("company")
        parts = [company, (whole unless whole.empty? || whole == company)].compact
        text = parts.join(", ")
        @problems << "The name is longer than #{LONGEST[:name]} letters." if text.length > LONGEST[:name]
        text.empty? ? nil : text
      end

      # Whose plan its phone is of; one that is not known is taken for the shop's.
      # @return [String] of two letters
      def home
        text = @cells["country"] or return @country
        (@codes ||= {})[text] ||= ISO3166::Country[text.strip.upcase]&.alpha2 ||
                                  ISO3166::Country.find_country_by_any_name(text)&.alpha2 || @country
      end

      def email
        text = words("email") or return
        return text if text.match?(EMAIL)

        say("The e-mail address #{shorten(text)} is none.")
      end

      def machine
        given = CustomerColumns::OF_A_MACHINE.any? { |column| @cells[column] }
        return unless given

        maker, model = maker_and_model
        { maker: maker, model: model, kind: words("kind"), serial_number: words("serial_number")&.upcase,
          bought_on: past_day("bought_on"), hours_per_week: hours, last_service_on: past_day("last_service_on") }
      end

      # In one column, the first word is the maker.
      def maker_and_model
        maker = words("maker")
        model = words("model")
        maker, model = model.split(" ", 2) if maker.nil? && model&.include?(" ")
        say("The machine has no #{maker ? 'model' : 'maker'}.") unless maker && model
        [maker, model]
      end

      def hours
        text = @cells["hours_per_week"] or return
        number = Float(text.tr(",", "."), exception: false)
        if number&.between?(0,
          168)
          number
        else
          say("Hours a week must be a number from 0 to 168, and not #{shorten(text)}.")
        end
      end

      def past_day(column)
        text = @cells[column] or return
        day = @dates.read(text)
        words, = CustomerColumns::ALL.fetch(column)
        label = words.delete_prefix("machine: ").delete_suffix(", date").sub(/\A./, &:upcase)
        return say("#{label}: #{shorten(text)} is no day in the order that was said.") unless day
        return say("#{label}: #{shorten(text)} has not come yet.") if day > @today

        day
      end

      def flag(column)
        text = @cells[column] or return
        FLAGS.fetch(text.downcase) do
          say("#{CustomerColumns::ALL.fetch(column).first.sub(/\A./, &:upcase)}: it cannot be #{shorten(text)}.")
        end
      end

      def words(column)
        text = @cells[column] or return
        most = LONGEST.fetch(column.to_sym, LONGEST[:name])
        return text if text.length <= most

        say("#{CustomerColumns::ALL.fetch(column).first.sub(/\A./, &:upcase)} is longer than #{most} letters.")
      end

      def shorten(text)
        text.length > 40 ? "“#{text[0, 40]}…”" : "“#{text}”"
      end

      def say(problem)
        @problems << problem unless @problems.include?(problem)
        nil
      end
    end
  end
end
