# frozen_string_literal: true

module UprightBench
  module Screens
    # The customer's page of a job, behind the code on the tag's slip: how it stands, the estimate, to agree or to ask.
    module EstimatePage
      # What each state is to the one who waits for the machine.
      STANDS = {
        taken_in: "It is here. We will look it over.", looked_over: "We looked it over.",
        settled: "You agreed. It is waiting for the bench.",
        in_work: "We are working on it.", waiting: "Something is drying, or a part is on its way.",
        closed_up: "It is ready to collect.",
        handed_over: "It is back with you.", declined: "Nothing was done, as you asked. It is ready to collect.",
        referred: "It should go to the maker or a competent person; we told you why. Collect it, or ask us."
      }.freeze

      def self.registered(app)
        app.helpers Helpers
        app.get("/j/:code", open: true) { estimate_page(job_of(params["code"])) }

        app.get "/j/:code/bill.pdf", open: true do
          headers "cache-control" => "no-store", "x-robots-tag" => "noindex"
          bill = Queries::Books.standing(job_of(params["code"]))
          raise Services::NotFound, "There is no bill yet." unless bill

          pdf Services::PrintedBill.new(bill).render, "bill-#{bill.number}"
        end

        app.post "/j/:code/agree", open: true do
          answer_estimate("agree") do |job|
            Services::AgreeToEstimate.call(job.number, id_of(params["estimate"]),
              by: Services::Actor.customer_by_slip(job), at: now, **AgreeForm.agreed(params))
          end
        end

        app.post "/j/:code/ask", open: true do
          answer_estimate("ask") do |job|
            question = Job::Note.of(params["question"], :question)
            Services::AskAboutJob.ask(job, question, by: Services::Actor.customer_by_slip(job), at: now)
          end
        end
      end

      # Helpers of this screen's routes.
      module Helpers
        # @raise [Services::NotFound] for a code that is not ours or no longer good: which of them is not told
        def job_of(code)
          Services::Lookup.one(:job, Outbox::JobLink.read(code, today: today))
        rescue Formats::SignedCode::NotOurs
          raise Services::NotFound, not_good
        end

        def estimate_page(job, problem: nil, errors: {})
          headers "cache-control" => "no-store", "x-robots-tag" => "noindex"
          @title = "Your #{job.sheet.title}"
          page = Queries::JobPage.new(job, now: now, policies: policies)
          typed = errors.empty? && problem.nil? ? {} : params
          erb :"estimate_page/page", layout: :"card_page/layout",
            locals: { job: job, page: page, sent: page.sent_estimate, problem: problem, errors: errors, typed: typed }
        end

        # @return [String] the ribbon, with the places that matter in words: what is to be done there, or was
        def customer_ribbon(page)
          words = page.items.to_h do |item|
            [item.position, "#{page.sheet.position(item.position).name}: #{item_how_words(item)}"]
          end
          Drawings::CustomerRibbon.new(sheet: page.sheet, marks: page.marks, words: words).render
        end

        # @return [String] heading of what is done at each place
        def found_heading(job)
          return "What we found and did" if job.closed_up_at

          job.agreed? ? "What we found and do" : "What we found and would do"
        end

        # @return [Hash{String=>Array}] heading => rows, as on the slip that goes home
        def home_parts(page)
          parts = slip_of(page).parts
          Papers::HandOverSlip::PARTS.to_h { |key, heading| [heading, parts.fetch(key, [])] }
            .reject { |_, rows| rows.empty? }
        end

        def slip_of(page)
          Job::SlipPaper.new(page, today: today, policies: policies)
        end

        # @return [String, nil] when it is ready
        def ready_for_customer(page, sent)
          return "Ready by #{moment(page.promise_now.at)} if you agree now." if page.job.estimated? && sent

          promised(page.job.promise_at) if page.job.promise_at && page.job.agreed?
        end

        # What was missed is not promised any more.
        def promised(promise_at)
          return "Ready by #{moment(promise_at)}." if promise_at > now

          "It was to be ready by #{moment(promise_at)}, and is late: we tell you when it is ready."
        end

        # @return [String] what it comes to when it is collected, with the sum that was agreed where that was another
        def to_pay_for_customer(page)
          due = page.due_cents
          return "#{money(-due)} comes back to you when you collect it." if due.negative?
          return "There is nothing to pay." if due.zero?

          "#{money(due)} to pay when you collect it.#{other_than_agreed(page)}"
        end

        def other_than_agreed(page)
          agreed, done = [page.agreed, page.to_bill].map { |estimate| estimate&.total_cents }
          " You agreed to #{money(agreed)}; what was done comes to #{money(done)}." if agreed && agreed != done
        end

        def agreed_for_customer(agreed)
          call = " We call before it comes to more than #{money(agreed.call_above_cents)}." if agreed.call_above_cents
          "Agreed by #{agreed.agreed_name}, #{moment(agreed.agreed_at)}: #{money(agreed.total_cents)}.#{call} Thank " \
            "you."
        end

        # @return [Boolean] whether an estimate stands there that was not agreed to
        def may_agree?(page, sent)
          return false unless sent && page.job.changeable? && page.agreed&.estimate_sent_id != sent.id

          page.agreed.nil? || sent.sent_at > page.agreed.agreed_at
        end

        # What the rule saw; where somebody judged otherwise, or something else was chosen, that stands for it.
        def reason_for_customer(item, finding)
          return Job::FoundForCustomers.judged_words(finding) if finding&.own_verdict
          return "A new one instead of a wash." if finding&.verdict == "wash" && item.action == "replace"

          Job::FoundForCustomers.words(item, finding, unit: policies.findings.length_unit)
        end

        def answer_estimate(where)
          job = job_of(params["code"])
          yield job
          redirect "/j/#{params['code']}##{where}", 303
        rescue Services::Refused, Services::Invalid => e
          status Web::ErrorTable.status(e)
          estimate_page(job.refresh, problem: { where: where, message: e.message },
            errors: e.is_a?(Services::Invalid) ? e.errors : {})
        end
      end
    end
  end
end
