# frozen_string_literal: true

module UprightBench
  module Screens
    module Registrations
      # What a customer says of a machine they bought, and of themselves where they are not on file. The model is what
      # they read on it; the counter finds it.
      class RegistrationForm < Form
        takes do
          params do
            optional(:customer).maybe(:hash?, CustomerFields::SCHEMA)
            required(:sheet_title).filled(:string, max_size?: 120)
            required(:machine).hash do
              optional(:serial_number).maybe(:string, max_size?: 40)
              required(:bought_on).filled(:date)
              optional(:bought_at).maybe(:string, max_size?: 120)
            end
            optional(:hours_per_week).maybe(:float, gteq?: 0, lteq?: 168)
            optional(:traits).array(:string, included_in?: TakeIn::TakeInForm::TRAITS)
            optional(:allergy).maybe(:bool)
          end

          rule(machine: :bought_on) { key.failure("lies in the future") if value && value > Date.today + 1 }
        end

        # @param known [Boolean] whether the shop knows whose it is
        def initialize(typed = {}, known: true)
          super(typed)
          add_at(%i[customer name], "is needed") unless known || value(:customer, :name).to_s.strip != ""
        end

        # @return [Hash{String=>Object}] as the form of a machine sold new has it typed
        def said
          typed_again(values.compact)
        end

        private

        # What was read, as it would be typed.
        def typed_again(value)
          case value
          when Hash then value.compact.to_h { |name, inner| [name.to_s, typed_again(inner)] }
          when Array then value.map { |inner| typed_again(inner) }
          when true then "1"
          when Float then format("%g", value)
          else value ? value.to_s : ""
          end
        end

        def add_at(path, words)
          group, field = path
          inner = errors[group].is_a?(Hash) ? errors[group] : {}
          errors[group] = inner.merge(field => [words])
        end
      end
    end
  end
end
