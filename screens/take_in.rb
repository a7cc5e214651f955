# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    # From a machine on the counter to a job on the bench.
    module TakeIn
      # What brings machines in, as the trade says it.
      COMPLAINTS = ["pulses", "weak on the floor", "weak everywhere", "no suction", "brush does not turn", "hard to push", "dirt comes back out",
                    "smells", "dust in the exhaust air", "short run time", "lid or bin stiff", "noise", "yearly service"].freeze

      # Helpers of this screen's templates.
      module Helpers
        def complaints
          COMPLAINTS
        end
      end

      def self.registered(app)
        app.helpers Helpers

        app.get "/take-in" do
          @title = "Take in"
          @keys = [["Enter", "on a line: choose it"], ["↓ ↑", "walk the lines found"]]
          subject = Subject.from(params)
          erb :"take_in/page", locals: { subject: subject, form: TakeInForm.blank(subject.prefill(params)), hits: Services::FindCustomers.call(params["q"].to_s), query: params["q"].to_s }
        end

        app.get "/take-in/find" do
          erb :"take_in/_hits", layout: false, locals: { hits: Services::FindCustomers.call(params["q"].to_s), query: params["q"].to_s }
        end

        app.post "/take-in" do
          @title = "Take in"
          subject = Subject.from(params)
          form = TakeInForm.new(params)
          begin
            if form.ok?
              job = Services::TakeIn.call(form.input, by: person, at: now)
              redirect "/jobs/#{job.number}/look-over", 303
            end
          rescue Services::Invalid => e
            form.add(base: e.errors.values.flatten)
          rescue Services::Refused => e
            form.add(base: [e.message])
          end
          status 422
          erb :"take_in/page", locals: { subject: subject, form: form, hits: [], query: "" }
        end
      end
    end
  end
end
