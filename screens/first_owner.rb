# frozen_string_literal: true

module UprightBench
  module Screens
    # The page behind the one-time address that the start prints while a shop has no owner.
    module FirstOwner
      def self.registered(app)
        app.helpers Helpers
        app.get("/first/:key", open: true) { first_page(FirstOwnerForm.blank(FirstOwnerForm::USUAL)) }

        app.post "/first/:key", open: true do
          form = FirstOwnerForm.new(params)
          next first_page(form, 422) unless form.ok?

          Services::FirstOwner.call(params["key"], person: form.person, shop: form.shop, at: now,
            policies: form.policies, rack_slots: form.rack_slots)
          redirect "/login", 303
        end
      end

      # Helpers of this screen's routes.
      module Helpers
        # @param key [String] of a shop rule that is a number
        # @return [String] its field
        def rule_field(form, key)
          rule = Core::Policies::Table.fetch(key)
          field(form, key.to_sym, label: rule.heading.delete_suffix(", "), called: "“#{rule.label}”",
            inputmode: "decimal", maxlength: 8, hint: rule.hint)
        end

        # @param key [String] of a shop rule that is a choice
        # @return [String] its field
        def rule_choice(form, key)
          rule = Core::Policies::Table.fetch(key)
          choice(form, key.to_sym, label: rule.label, choices: rule.options)
        end

        def first_page(form, code = 200)
          unless Services::FirstOwner.good?(params["key"], at: now)
            raise Services::NotFound, "This address is not good, or was used already."
          end

          status code
          headers "cache-control" => "no-store", "x-robots-tag" => "noindex", "referrer-policy" => "no-referrer"
          erb :"first_owner/page", layout: :"sign_in/layout", locals: { form: form, key: params["key"] }
        end
      end
    end
  end
end
