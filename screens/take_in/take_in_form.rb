# frozen_string_literal: true

module UprightBench
  module Screens
    module TakeIn
      # What is written down when a machine is taken in.
      class TakeInForm < Form
        TRAITS = Core::Use::Household::FACTORS.keys.map(&:to_s).freeze
        UUID = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/

        takes do
          params do
            required(:request_key).filled(:string, format?: UUID)
            optional(:customer_id).maybe(:integer)
            optional(:machine_id).maybe(:integer)
            required(:complaint).filled(:string, max_size?: 2000)
            optional(:came_with).maybe(:string, max_size?: 500)
            optional(:hours_per_week).maybe(:float, gteq?: 0, lteq?: 168)
            optional(:traits).array(:string, included_in?: TRAITS)
            optional(:allergy).maybe(:bool)
            optional(:made_safe).maybe(:string)
            optional(:customer).maybe(:hash) do
              optional(:name).maybe(:string, max_size?: 120)
              optional(:phone).maybe(:string, max_size?: 40)
              optional(:email).maybe(:string, max_size?: 200)
              optional(:street).maybe(:string, max_size?: 200)
              optional(:town).maybe(:string, max_size?: 120)
              optional(:email_agreed).maybe(:bool)
              optional(:post_agreed).maybe(:bool)
            end
            optional(:machine).maybe(:hash) do
              optional(:sheet_id).maybe(:integer)
              optional(:plate).maybe(:string, max_size?: 40)
              optional(:bought_on).maybe(:date)
              optional(:second_hand).maybe(:bool)
            end
          end

          rule(:made_safe) { key.failure("tick this once it is unplugged or its battery is out; nothing is opened before") if value.nil? }
          rule(:customer) do
            next if values[:customer_id] || values[:machine_id]

            key(%i[customer name]).failure("is needed") if values.dig(:customer, :name).nil?
            email = values.dig(:customer, :email)
            key(%i[customer email]).failure("is not an e-mail address") if email && !email.match?(/\A[^@\s<>]+@[^@\s<>]+\.[^@\s<>]+\z/)
          end
          rule(:machine) do
            next if values[:machine_id]

            key(%i[machine sheet_id]).failure("choose the model") if values.dig(:machine, :sheet_id).nil?
            bought = values.dig(:machine, :bought_on)
            key(%i[machine bought_on]).failure("lies in the future") if bought && bought > Date.today + 1
          end
        end

        # @return [Hash] as Services::TakeIn takes it
        def input
          known = values.slice(:request_key, :customer_id, :machine_id, :complaint, :came_with)
          known.merge(use: use, customer: values[:customer]&.then { |one| switched(one, :email_agreed, :post_agreed) },
                      machine: values[:machine]&.then { |one| switched(one, :second_hand) })
        end

        private

        def use
          { hours_per_week: values[:hours_per_week], traits: Sequel.pg_array(values[:traits] || [], :text), allergy: values[:allergy] || false }
        end

        # A box that is not ticked is not sent at all.
        def switched(hash, *boxes)
          boxes.to_h { |box| [box, false] }.merge(hash.compact)
        end
      end
    end
  end
end
