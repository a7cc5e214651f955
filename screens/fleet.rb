# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    # Many machines of one customer taken in at once, from those on file or from a list.
    module Fleet
      def self.registered(app)
        app.helpers Helpers
        taking_in_routes(app)
        taken_routes(app)
      end

      def self.taking_in_routes(app)
        app.get "/take-in/many" do
          typed = { "request_key" => SecureRandom.uuid, "complaint" => "half-yearly service" }
          fleet_page(fleet_asked, FleetForm.blank(typed))
        end

        app.post "/take-in/many", may: :work, most_bytes: Doors::A_FILE do
          customer = fleet_asked
          form = FleetForm.new(params, customer)
          jobs = take_in_many(customer, form)
          next redirect(taken_path("/take-in/taken", customer, jobs), 303) if jobs

          status 422
          fleet_page(customer, form)
        end
      end
      private_class_method :taking_in_routes

      def self.taken_routes(app)
        app.get "/take-in/taken" do
          @title = "Taken in"
          customer = fleet_asked
          erb :"fleet/taken", locals: { jobs: taken_jobs, customer: customer }
        end

        app.get "/take-in/tags.pdf" do
          send_paper("tags", customer: id_of(params["customer_id"]), from: id_of(params["from"]),
            to: id_of(params["to"]))
        end
      end
      private_class_method :taken_routes

      # Helpers of this screen's routes.
      module Helpers
        def fleet_asked
          Services::Lookup.one(:customer, id_of(params["customer_id"]))
        end

        # @return [Array<Models::Job>, nil] nil when something is wrong, which the form then says
        def take_in_many(customer, form)
          if form.ok?
            Services::TakeInFleet.call(customer, form.rows, request_key: form.values[:request_key], by: person, at: now)
          end
        rescue Services::Invalid, Services::Refused => e
          form.add(base: [e.message])
          nil
        end

        def fleet_page(customer, form)
          @title = "Take in several"
          erb :"fleet/page", locals: { customer: customer, form: form, machines: Queries::FleetMachines.call(customer),
                                       on_bench: Queries::FleetMachines.on_bench(customer) }
        end

        # @return [String] an address of the jobs that were taken in together
        def taken_path(path, customer, jobs)
          "#{path}?#{URI.encode_www_form(customer_id: customer.id, from: jobs.first.number, to: jobs.last.number)}"
        end

        def taken_jobs
          Queries::FleetMachines.taken_in(id_of(params["customer_id"]), id_of(params["from"])..id_of(params["to"]))
        end
      end
    end
  end
end
