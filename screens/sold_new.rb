# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    # A machine sold new, or bought elsewhere: on file in one form, with its clocks running.
    module SoldNew
      def self.registered(app)
        app.helpers Helpers

        app.get "/machines/new" do
          typed = { "request_key" => SecureRandom.uuid, "customer_id" => params["customer_id"].to_s,
                    "machine" => { "bought_on" => today.iso8601, "bought_at" => shop.name } }
          sold_new_page(SoldNewForm.blank(typed))
        end

        app.post "/machines/new" do
          form = SoldNewForm.new(with_model(params))
          machine = sold_new(form)
          next redirect("/machines/#{machine.id}", 303) if machine

          status 422
          sold_new_page(form)
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        def sold_new_page(form)
          @title = "Sold new"
          id = form.value(:customer_id).to_s
          customer = id.empty? ? nil : Services::Lookup.one(:customer, id_of(id))
          erb :"sold_new/page", locals: { form: form, customer: customer }
        end

        # @return [Models::Machine, nil] nil when the form says why not
        def sold_new(form)
          return unless form.ok?

          machine = Services::SellMachine.call(form.input, by: person, at: now)
          say "It is on file. Its clocks run from #{day(machine.bought_on)}."
          machine
        rescue Services::Invalid => e
          form.add(base: e.errors.values.flatten)
          nil
        end
      end
    end
  end
end
