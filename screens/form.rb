# frozen_string_literal: true

require "dry/validation"

module UprightBench
  module Screens
    # What was typed into a form: checked at the edge, every mistake at once, each beside its field.
    #
    # A form keeps what was typed (`typed`, text), what it means (`values`), and what is wrong (`errors`).
    # A subclass says what it takes by a contract:
    #
    #   class CountForm < Form
    #     takes { params { required(:pieces).filled(:integer) } }
    #   end
    class Form
      # How what is typed is understood: decimals with a point or a comma, whatever the shop writes.
      class Typed < Dry::Schema::TypeContainer
        FLOAT = Dry::Types["params.float"].prepend { |typed| typed.is_a?(String) ? typed.tr(",", ".") : typed }

        def [](name)
          name == "params.float" ? FLOAT : super
        end
      end

      # What all contracts share: plain words, and text that can be read.
      class Contract < Dry::Validation::Contract
        config.messages.load_paths << File.expand_path("messages.yml", __dir__)
        config.messages.default_locale = :en
        config.types = Typed.new

        # Money, as people type it in the shop's currency.
        register_macro(:sum) do
          if value
            currency = Services::Policies.now.currency
            key.failure("is a sum, for example #{currency.plain(1650)}") unless currency.cents(value)
          end
        end

        # A class of the shop's own.
        register_macro(:tax_class) do
          if value && Services::Policies.now.tax_classes.none? { |known| known.key == value }
            key.failure("is no tax class of the shop")
          end
        end
      end

      UNREADABLE = Formats::ReadableText::SIGN

      class << self
        attr_reader :contract

        def takes(&)
          @contract = Class.new(Contract, &).new
        end
      end

      attr_reader :typed, :errors

      # @param typed [Hash{String=>Object}] the request's parameters
      def initialize(typed = {})
        @typed = typed
        @errors = {}
        read_typed unless @untouched
      end

      # An untouched form: nothing to complain of yet, so that no rule is asked, which takes longer than drawing it.
      def self.blank(typed = {})
        allocate.tap do |form|
          form.send(:leave_untouched)
          form.send(:initialize, typed)
          form.errors.clear
        end
      end

      # @return [Hash{Symbol=>Object}] read as what they are
      def values
        @values ||= self.class.contract.schema.call(typed).to_h
      end

      def ok?
        errors.empty?
      end

      # @param field [Symbol] of a sum
      # @return [Integer, nil]
      def cents(field)
        values[field] && Services::Policies.now.currency.cents(values[field])
      end

      # @param path [Array<Symbol>]
      # @return [Object] as typed
      def value(*path)
        typed.is_a?(Hash) ? typed.dig(*path.map(&:to_s)) : nil
      rescue TypeError
        nil
      end

      # @return [Array<String>]
      def errors_at(*path)
        found = errors.dig(*path)
        found.is_a?(Array) ? found : []
      rescue TypeError
        []
      end

      # @param more [Hash{Symbol=>Array<String>}] what a service found wrong
      # @return [self]
      def add(more)
        more.each { |field, messages| errors[field] = errors_at(field) + messages }
        self
      end

      private

      def leave_untouched
        @untouched = true
      end

      def read_typed
        result = checked(typed)
        @values = result.to_h
        @errors = result.errors.to_h.dup
        point_at_unreadable(typed, @errors)
      end

      def checked(typed)
        self.class.contract.call(typed)
      end

      def point_at_unreadable(typed, errors)
        typed.each do |key, value|
          if value.is_a?(Hash)
            inner = errors[key.to_sym].is_a?(Hash) ? errors[key.to_sym].dup : {}
            point_at_unreadable(value, inner)
            errors[key.to_sym] = inner if inner.any?
          elsif value.is_a?(String) && value.include?(UNREADABLE)
            errors[key.to_sym] = ["has signs that could not be read; they stand as #{UNREADABLE}. Type them again."]
          end
        end
      end
    end
  end
end
