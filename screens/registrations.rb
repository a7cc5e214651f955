# frozen_string_literal: true

module UprightBench
  module Screens
    # Machines that their owners register: a code is given, the owner types what they bought on a page behind it, and
    # the counter puts it on file or turns it down.
    module Registrations
      def self.registered(app)
        app.helpers Helpers

        app.get("/registrations") { registrations_page }

        app.post "/registrations", may: :work do
          id = params["customer_id"].to_s
          Services::GiveCode.call(customer: (Services::Lookup.one(:customer, id_of(id)) unless id.empty?), by: person,
            at: now)
          redirect "/registrations", 303
        end

        app.get "/registrations/:id/slip.pdf" do
          pdf registration_slip(registration_asked), "register-#{params['id']}"
        end

        app.post "/registrations/:id/turn-down", may: :work do
          Services::Register.turn_down(registration_asked, by: person, at: now)
          redirect "/registrations", 303
        end

        customers_routes(app)
      end

      # No account, only the code.
      def self.customers_routes(app)
        app.get "/r/:code", open: true do
          given = registration_of(params["code"])
          register_page(given, RegistrationForm.blank(given.said.to_hash))
        end

        app.post "/r/:code", open: true do
          given = registration_of(params["code"])
          form = RegistrationForm.new(params, known: !given.customer_id.nil?)
          next register_page(given, form) unless form.ok?

          Services::Register.call(given, form.said, at: now)
          redirect "/r/#{params['code']}", 303
        end
      end
      private_class_method :customers_routes

      # Helpers of this screen's routes.
      module Helpers
        def registration_asked
          Services::Lookup.one(:registration, id_of(params["id"]))
        end

        # @raise [Services::NotFound] for a code that is not ours or no longer good: which of them is not told
        def registration_of(code)
          Services::Lookup.one(:registration, Outbox::RegistrationLink.read(code, today: today))
        rescue Formats::SignedCode::NotOurs
          raise Services::NotFound, not_good
        end

        def registrations_page
          @title = "Registrations"
          erb :"registrations/page", locals: { sent_in: Queries::Registrations.sent_in, given: Queries::Registrations.given(today: today) }
        end

        def register_page(given, form)
          headers "cache-control" => "no-store", "x-robots-tag" => "noindex"
          @title = "Register your machine"
          status 422 if form.errors.any?
          erb :"registrations/register", layout: :"card_page/layout", locals: { given: given, form: form }
        end

        # @return [String] PDF
        def registration_slip(given)
          Papers::RegistrationSlip.new(shop: [shop.name, postal_rest(shop), shop.phone],
            link: Outbox::RegistrationLink.of(given), until_on: full_day(given.expires_on)).render
        end

        # @param given [Models::Registration]
        # @return [String] whose, and which machine
        def registration_words(given)
          said = given.said.to_hash
          name = given.customer&.name || said.dig("customer", "name")
          [name, said["sheet_title"], said.dig("machine", "serial_number")].compact.reject(&:empty?).join(", ")
        end
      end
    end
  end
end
