# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    # From a machine on the counter to a job on the bench.
    module TakeIn
      # What brings machines in, as the trade says it, the commonest first: the first nine have a key of their own.
      COMPLAINTS = ["pulses", "weak on the floor", "weak everywhere", "no suction", "brush does not turn", "smells", "dirt comes back out",
                    "short run time", "yearly service", "hard to push", "dust in the exhaust air", "lid or bin stiff", "noise"].freeze
      KEYS = [["1 to 9", "the first nine complaints"], ["n", "none of the conditions"], ["m", "made safe"], ["Enter", "take it in"],
              ["↓ ↑", "walk the lines found"]].freeze

      def self.registered(app)
        app.helpers Helpers

        app.get "/take-in" do
          only = params["q"] && Services::FindCustomers.only_machine(params["q"].to_s)
          next redirect("/take-in?machine_id=#{only}", 303) if only

          subject = Subject.from(params)
          take_in_page(subject, TakeInForm.blank(subject.prefill(params)), query: params["q"].to_s)
        end

        app.get "/take-in/find" do
          erb :"take_in/_hits", layout: false, locals: { hits: Services::FindCustomers.call(params["q"].to_s), query: params["q"].to_s }
        end

        app.post "/take-in", most_bytes: Doors::PICTURES do
          subject = Subject.from(params)
          form = TakeInForm.new(params)
          job = take_in(form)
          next redirect(["/jobs/#{job.number}", ("look-over" if job.made_safe_at)].compact.join("/"), 303) if job

          status 422
          take_in_page(subject, form)
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        def complaints
          COMPLAINTS
        end

        def take_in_page(subject, form, query: "")
          @title = "Take in"
          @keys = KEYS
          erb :"take_in/page", locals: { subject: subject, form: form, query: query, hits: Services::FindCustomers.call(query) }
        end

        # @return [Models::Job, nil] nil when something is wrong, which the form then says
        def take_in(form)
          return unless form.ok?

          pictures = Services::AddPictures.prepare(uploads)
          job = Services::TakeIn.call(form.input, by: person, at: now)
          Services::AddPictures.call(job.number, pictures, by: person, at: now) if pictures.any?
          job
        rescue Services::Invalid => e
          e.errors.key?(:pictures) ? form.add(e.errors) : form.add(base: e.errors.values.flatten)
          nil
        rescue Services::Refused => e
          form.add(base: [e.message])
          nil
        end
      end
    end
  end
end
