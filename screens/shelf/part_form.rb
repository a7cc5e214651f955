# frozen_string_literal: true

module UprightBench
  module Screens
    module Shelf
      # A part as it is put on file, or changed.
      class PartForm < Form
        KINDS = Core::Kinds::ALL.keys.map(&:to_s).freeze
        NUMBER = %r{\A[A-Z0-9][A-Z0-9./-]{0,39}\z}
        SIDES = %i[length_mm width_mm diameter_mm].freeze
        WORDS = %i[name kind maker supplier filter_class successor barcode].freeze
        WHOLE = %i[lead_days pack_pieces life_months].freeze

        takes do
          params do
            required(:number).filled(:string)
            required(:name).filled(:string, max_size?: 200)
            required(:kind).filled(:string, format?: Formats::PartList::KIND)
            required(:price).filled(:string)
            optional(:cost).maybe(:string)
            %i[maker supplier].each { |name| optional(name).maybe(:string, max_size?: 200) }
            optional(:lead_days).maybe(:integer, gteq?: 0, lteq?: 365)
            optional(:pack_pieces).maybe(:integer, gteq?: 1, lteq?: 1000)
            optional(:life_months).maybe(:integer, gteq?: 1, lteq?: 600)
            optional(:filter_class).maybe(:string, included_in?: Core::Fit::FilterClass::PERCENT.keys)
            optional(:successor).maybe(:string, max_size?: 40)
            optional(:barcode).maybe(:string)
            SIDES.each { |side| optional(side).maybe(:float, gt?: 0, lteq?: 5000) }
            optional(:has).maybe(:hash)
            %i[attributes contents].each { |name| optional(name).maybe(:string, max_size?: 400) }
            optional(:tax_class).maybe(:string, max_size?: 40)
            optional(:lies_at).maybe(:string, max_size?: 60)
            %i[pattern discontinued].each { |flag| optional(flag).maybe(:bool) }
          end

          rule(:number) do
            unless value.upcase.match?(NUMBER)
              key.failure("may have letters, digits, dots, dashes and slashes, up to 40")
            end
          end
          %i[price cost].each do |name|
            rule(name).validate(:sum)
          end
          rule(:tax_class).validate(:tax_class)
          rule(:attributes) do
            key.failure("are written as clip: yes, drive: left") unless Formats::NamedValues.attributes(value)
          end
          rule(:has) do
            next if value.nil? || Formats::NamedValues.attributes(PartForm.chosen(value))

            key(:attributes).failure("are written as clip: yes, drive: left")
          end
          rule(:contents) do
            key.failure("are written as bag: 5, filter: 1") unless Formats::NamedValues.pieces(value)
          end
          rule(:barcode) do
            key.failure("is not thirteen digits with a right check digit") if value && !Core::Shelf::Ean13.valid?(value)
          end
        end

        # @param part [Models::Part]
        # @return [Hash{String=>String, nil}] as it would be typed
        def self.typed_from(part) # rubocop:disable Metrics/AbcSize, Metrics/CyclomaticComplexity -- one table
          { "number" => part.number, "supplier" => part.supplier&.name, "successor" => part.successor&.number,
            **(WORDS - %i[supplier successor] + WHOLE).to_h { |name| [name.to_s, part[name]&.to_s] },
            **{ "price" => part.price_cents, "cost" => part.cost_cents }.transform_values { |cents| money(cents) },
            **sides(part.measures.to_hash), "lies_at" => part.lies_at, "tax_class" => part.tax_class,
            "contents" => Formats::NamedValues.words(part.contents.to_hash),
            "has" => part[:attributes].to_hash.transform_values { |value| Formats::NamedValues.written(value) },
            **%i[pattern discontinued].to_h { |flag| [flag.to_s, ("1" if part[flag])] } }
        end

        def self.sides(measures)
          SIDES.map(&:to_s).to_h { |side| [side, measures[side] && format("%g", measures[side])] }
        end

        def self.money(cents)
          cents && Services::Policies.now.currency.plain(cents)
        end
        private_class_method :sides, :money

        def number
          values[:number].upcase
        end

        # @return [Hash{Symbol=>Object}] as Services::KeepPart takes them
        def fields
          fields = (WORDS + WHOLE).to_h { |name| [name, values[name]] }
          fields.merge(pack_pieces: values[:pack_pieces] || 1, successor: values[:successor]&.upcase,
            price_cents: cents(:price), cost_cents: cents(:cost),
            pattern: values[:pattern] || false, discontinued: values[:discontinued] || false)
        end

        # @return [Hash{String=>Float, nil}] mm, of the sides that were asked for
        def measures
          SIDES.select { |side| typed.key?(side.to_s) }.to_h { |side| [side.to_s, values[side]] }
        end

        # @param has [Hash] attribute => what was chosen
        # @return [String] as NamedValues reads it
        def self.chosen(has)
          has.reject { |_, said| said.to_s.empty? }.map { |name, said| "#{name}: #{said}" }.join(", ")
        end

        # @return [Hash{Symbol=>Object}] as Services::KeepPart takes it
        def beside
          had = [self.class.chosen(values[:has].to_h), values[:attributes]].reject do |text|
            text.to_s.empty?
          end.join(", ")
          { lies_at: values[:lies_at], tax_class: values[:tax_class],
            attributes: Formats::NamedValues.attributes(had), contents: Formats::NamedValues.pieces(values[:contents]) }
        end
      end
    end
  end
end
