# frozen_string_literal: true

module UprightBench
  module Screens
    module TakeIn
      # What is written down when a machine is taken in.
      class TakeInForm < Form
        TRAITS = Core::Use::Household::FACTORS.keys.map(&:to_s).freeze
        AGREED = Core::Cards::Channels::ALL.map(&:agreed_column).freeze
        CONDITIONS = Core::Intake::Safety::CONDITIONS.keys.freeze
        KINDS = Core::Sheets::Sheet::KINDS.map(&:to_s).freeze
        UUID = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/
        # "2 crevice tools", "charger": pieces, then a name
        COUNTED = /\A(?:(?<pieces>[1-9]\d?)\s*[x×]?\s+)?(?<name>\S.{0,59})\z/

        takes do
          params do
            required(:request_key).filled(:string, format?: UUID)
            optional(:customer_id).maybe(:integer)
            optional(:machine_id).maybe(:integer)
            optional(:sheet_title).maybe(:string, max_size?: 120)
            optional(:told_by).maybe(:string, included_in?: %w[email text phone])
            optional(:look_fee).maybe(:string)
            optional(:came_back).maybe(:integer)
            required(:complaint).filled(:string, max_size?: 2000)
            optional(:came_with).maybe(:string, max_size?: 500)
            optional(:accessories).array(:string, max_size?: 60)
            optional(:hours_per_week).maybe(:float, gteq?: 0, lteq?: 168)
            optional(:traits).array(:string, included_in?: TRAITS)
            optional(:allergy).maybe(:bool)
            optional(:made_safe).maybe(:string)
            optional(:conditions).array(:string, included_in?: CONDITIONS)
            optional(:no_condition).maybe(:string)
            optional(:customer).maybe(:hash) do
              optional(:name).maybe(:string, max_size?: 120)
              optional(:phone).maybe(:string, max_size?: 40)
              optional(:email).maybe(:string, max_size?: 200)
              AddressFields::LENGTHS.each { |name, most| optional(name).maybe(:string, max_size?: most) }
              AGREED.each { |channel| optional(channel).maybe(:bool) }
            end
            optional(:machine).maybe(:hash) do
              optional(:sheet_id).maybe(:integer)
              optional(:maker).maybe(:string, max_size?: 60)
              optional(:model).maybe(:string, max_size?: 60)
              optional(:kind).maybe(:string, included_in?: KINDS)
              Seen::VALUES.each { |name, values| optional(name).maybe(:string, included_in?: values) }
              optional(:serial_number).maybe(:string, max_size?: 40)
              optional(:bought_on).maybe(:date)
              optional(:bought_at).maybe(:string, max_size?: 120)
              optional(:second_hand).maybe(:bool)
            end
          end

          rule(:look_fee).validate(:sum)
          rule(:made_safe) do
            next if value || TakeInForm.list(values[:conditions]).any?

            key.failure("Tick this once it is unplugged or its battery is out.")
          end
          rule(:conditions) do
            next if schema_error?(:conditions)

            if values[:no_condition].nil? && value.to_a.empty?
              key(:no_condition).failure("Tick what there is, or that there is none.")
            end
            if values[:no_condition] && value.to_a.any?
              key(:no_condition).failure("Tick one or the other: none of these, or what there is.")
            end
          end
          rule(:came_with) do
            if value.to_s.split(",").any? { |item| !item.strip.match?(COUNTED) }
              key.failure("is a list, for example: 2 crevice tools, charger")
            end
          end
          rule(:customer) do
            next if values[:customer_id] || values[:machine_id]

            key(%i[customer name]).failure("is needed") if values.dig(:customer, :name).nil?
            email = values.dig(:customer, :email)
            if email && !email.match?(/\A[^@\s<>]+@[^@\s<>]+\.[^@\s<>]+\z/)
              key(%i[customer email]).failure("is not an e-mail address")
            end
          end
          rule(:machine) do
            next if values[:machine_id]

            named = values[:machine].to_h.values_at(:maker, :model)
            if values.dig(:machine, :sheet_id).nil? && named.none?
              key(%i[machine sheet_id]).failure("is needed: choose it from the list, or name it below")
            end
            if named.one?(&:nil?)
              key(%i[machine maker]).failure("is needed, with the model and what kind it is nearest to")
            end
            if named.all? && values.dig(:machine, :sheet_id).nil? && values.dig(:machine, :kind).nil?
              key(%i[machine kind]).failure("is needed: the nearest one")
            end
            bought = values.dig(:machine, :bought_on)
            key(%i[machine bought_on]).failure("lies in the future") if bought && bought > Date.today + 1
          end
        end

        # What is no list was refused already.
        def self.list(value)
          value.is_a?(Array) ? value : []
        end

        # @return [Hash] as Services::TakeIn takes it
        def input
          known = values.slice(:request_key, :customer_id, :machine_id, :complaint, :came_back, :told_by)
          customer = values[:customer]&.then { |typed| switched(typed, *AGREED) }
          known.merge(use: use, customer: customer, machine: machine,
            accessories: accessories, conditions: values[:conditions].to_a.uniq,
            made_safe: !values[:made_safe].nil?, look_fee_cents: look_fee_cents)
        end

        private

        def look_fee_cents
          cents(:look_fee) || 0
        end

        def use
          { hours_per_week: values[:hours_per_week], traits: (values[:traits] || []).uniq,
            allergy: values[:allergy] || false }
        end

        def machine
          given = values[:machine] or return
          begun_from = [:kind, *Seen::VALUES.keys]
          if given[:sheet_id].nil? && given[:maker]
            rough = { maker: given[:maker], model: given[:model],
                      **given.slice(*begun_from).compact.transform_values(&:to_sym) }
          end
          switched(given.except(:maker, :model, *begun_from), :second_hand).merge({ rough: rough }.compact)
        end

        # What was ticked, and what was written beside it: name => pieces.
        def accessories
          ticked = (values[:accessories] || []).map(&:strip).reject(&:empty?)
          ticked.to_h { |name| [name, 1] }.merge(written_accessories)
        end

        def written_accessories
          values[:came_with].to_s.split(",").filter_map { |item| COUNTED.match(item.strip) }
            .to_h { |item| [item[:name].strip, (item[:pieces] || 1).to_i] }
        end

        # A box that is not ticked is not sent at all.
        def switched(hash, *boxes)
          boxes.to_h { |box| [box, false] }.merge(hash.compact)
        end
      end
    end
  end
end
