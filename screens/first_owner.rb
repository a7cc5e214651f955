# frozen_string_literal: true

module UprightBench
  module Screens
    # The page behind the one-time address that the start prints while a shop has no owner.
    module FirstOwner
      def self.registered(app)
        app.helpers Helpers
        app.get("/first/:key", open: true) { first_page(FirstOwnerForm.blank) }

        app.post "/first/:key", open: true do
          form = FirstOwnerForm.new(params)
          next first_page(form, 422) unless form.ok?

          Services::FirstOwner.call(params["key"], person: form.person, shop: form.shop, at: now)
          redirect "/login", 303
        end
      end

      # Helpers of this screen's routes.
      module Helpers
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
