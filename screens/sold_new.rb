# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    # A machine sold new, or bought elsewhere: on file in one form, with its clocks running.
    module SoldNew
      def self.registered(app)
        app.helpers Helpers

        app.get "/machines/new" do
          sold_new_page(SoldNewForm.blank({ "request_key" => SecureRandom.uuid, **sold_new_beforehand }))
        end

        app.post "/machines/new", may: :work do
          form = SoldNewForm.new(with_model(params))
          machine = sold_new(form)
          next redirect("/machines/#{machine.id}", 303) if machine

          status 422
          sold_new_page(form)
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        # What the address says, or what the customer said who registered it.
        # @return [Hash{String=>Object}] as typed
        def sold_new_beforehand
          asked = registration_confirmed
          return { **asked.said.to_hash, "customer_id" => asked.customer_id.to_s } if asked

          { "customer_id" => params["customer_id"].to_s,
            "machine" => { "bought_on" => today.iso8601, "bought_at" => shop.name } }
        end

        # @return [Models::Registration, nil] that this form confirms
        def registration_confirmed
          id = params["registration"].to_s
          Services::Lookup.one(:registration, id_of(id)) unless id.empty?
        end

        def sold_new_page(form)
          @title = "Sold new"
          id = form.value(:customer_id).to_s
          customer = id.empty? ? nil : Services::Lookup.one(:customer, id_of(id))
          erb :"sold_new/page", locals: { form: form, customer: customer, registration: registration_confirmed }
        end

        # @return [Models::Machine, nil] nil when the form says why not
        def sold_new(form)
          return unless form.ok?

          machine = Services::SellMachine.call({ **form.input, registration: registration_confirmed }, by: person,
            at: now)
          say "It is on file. Its clocks run from #{day(machine.bought_on)}."
          machine
        rescue Services::Invalid => e
          form.add(base: e.errors.values.flatten)
          nil
        rescue Services::Refused => e
          form.add(base: [e.message])
          nil
        end
      end
    end
  end
end
