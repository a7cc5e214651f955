# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    # Many machines of one customer taken in at once, from those on file or from a list.
    module Fleet
      def self.registered(app)
        app.helpers Helpers
        taking_in(app)
        taken(app)
      end

      def self.taking_in(app)
        app.get "/take-in/many" do
          customer = Services::Lookup.one(Models::Customer, id_of(params["customer_id"]))
          fleet_page(customer, FleetForm.blank("request_key" => SecureRandom.uuid, "complaint" => "half-yearly service"))
        end

        app.post "/take-in/many", most_bytes: Doors::A_FILE do
          customer = Services::Lookup.one(Models::Customer, id_of(params["customer_id"]))
          form = FleetForm.new(params, customer)
          jobs = take_in_many(customer, form)
          next redirect("/take-in/taken?customer_id=#{customer.id}&from=#{jobs.first.number}&to=#{jobs.last.number}", 303) if jobs

          status 422
          fleet_page(customer, form)
        end
      end
      private_class_method :taking_in

      def self.taken(app)
        app.get "/take-in/taken" do
          @title = "Taken in"
          erb :"fleet/taken", locals: { jobs: taken_jobs, customer: Services::Lookup.one(Models::Customer, id_of(params["customer_id"])) }
        end

        app.get "/take-in/tags.pdf" do
          send_paper("tags", customer: id_of(params["customer_id"]), from: id_of(params["from"]), to: id_of(params["to"]))
        end
      end
      private_class_method :taken

      # Helpers of this screen's routes.
      module Helpers
        # @return [Array<Models::Job>, nil] nil when something is wrong, which the form then says
        def take_in_many(customer, form)
          Services::TakeInFleet.call(customer, form.rows, request_key: form.values[:request_key], by: person, at: now) if form.ok?
        rescue Services::Invalid, Services::Refused => e
          form.add(base: [e.message])
          nil
        end

        def fleet_page(customer, form)
          @title = "Take in several"
          on_bench = Models::Job.in_shop.where(customer_id: customer.id).select_hash(:machine_id, :number)
          machines = customer.machines_dataset.where(state: %w[in_use stored]).eager(:sheet).order(:id).limit(Formats::MachineList::MOST).all
          erb :"fleet/page", locals: { customer: customer, form: form, machines: machines, on_bench: on_bench }
        end

        def taken_jobs
          range = id_of(params["from"])..id_of(params["to"])
          Models::Job.where(number: range, customer_id: id_of(params["customer_id"])).order(:number).limit(Formats::MachineList::MOST)
                     .eager(:customer, machine: :sheet).all
        end
      end
    end
  end
end
