# frozen_string_literal: true

module UprightBench
  module Screens
    # The customer's page of a job, behind the code on the tag's slip: how it stands, what was offered, to agree or to ask.
    module OfferPage
      # What each state is to the one who waits for the machine.
      STANDS = {
        taken_in: "It is here, and will be looked over.", looked_over: "We looked it over.", settled: "You agreed; it waits for the bench.",
        in_work: "We are at work on it.", waiting: "Something is drying, or on its way to us.", closed_up: "It is ready. Come and fetch it.",
        handed_over: "It is back with you.", declined: "Nothing is done to it, as you said. Come and fetch it.",
        referred: "It goes to the maker, or to somebody competent; we told you why. Come and fetch it, or ask us."
      }.freeze

      def self.registered(app)
        app.helpers Helpers
        app.get("/j/:code", open: true) { offer_page(job_of(params["code"])) }

        app.post "/j/:code/agree", open: true do
          answer_offer("agree") { |job| Services::AgreeToOffer.call(job.number, id_of(params["offer"]), by: Services::Actor.customer_by_slip(job), at: now, **AgreeForm.agreed(params)) }
        end

        app.post "/j/:code/ask", open: true do
          answer_offer("ask") { |job| Services::AskAboutJob.ask(job, Job::Note.of(params["question"], :question), by: Services::Actor.customer_by_slip(job), at: now) }
        end
      end

      # Helpers of this screen's routes.
      module Helpers
        # @raise [Services::NotFound] for a code that is not ours or no longer good: which of them is not told
        def job_of(code)
          Models::Job.with_pk(Outbox::JobLink.read(code, today: today)) || raise(Services::NotFound, not_good)
        rescue Formats::SignedCode::Bad
          raise Services::NotFound, not_good
        end

        def offer_page(job, problem: nil, errors: {})
          headers "cache-control" => "no-store", "x-robots-tag" => "noindex"
          @title = "Your #{job.sheet.title}"
          visit = Job::Visit.new(job, now: now, policies: policies)
          erb :"offer_page/page", layout: :"card_page/layout",
                                  locals: { job: job, visit: visit, offer: visit.offer, problem: problem, errors: errors, typed: errors.empty? && problem.nil? ? {} : params }
        end

        # What the rule saw; where somebody judged otherwise, that stands for it.
        def reason_for_customer(item, finding)
          finding&.own_mark ? "Judged so at the bench, by #{finding.finder.name}." : item.reason
        end

        def answer_offer(where)
          job = job_of(params["code"])
          yield job
          redirect "/j/#{params['code']}##{where}", 303
        rescue Services::Refused, Services::Invalid => e
          status Config::Web::ErrorTable.status(e)
          offer_page(job.refresh, problem: { where: where, message: e.message }, errors: e.is_a?(Services::Invalid) ? e.errors : {})
        end
      end
    end
  end
end
