# frozen_string_literal: true

module UprightBench
  module Screens
    # One page for the whole visit: settle, work, close up, hand over. A form that cannot be taken shows the page again,
    # with the message where the form stands and everything that was typed.
    module Job
      # Steps of a job and the service each form calls. `typed` are the request's parameters.
      ACTIONS = {
        "settle" => ->(number, typed, by, at) { Services::Settle.call(number, **SettleForm.agreed(typed), by: by, at: at) },
        "agree" => ->(number, typed, by, at) { Services::Agree.call(number, **SettleForm.agreed(typed), by: by, at: at) },
        "close-up" => lambda { |number, typed, by, at|
          Services::CloseUp.call(number, wet_reason: Note.of(typed["wet_reason"], :wet_reason), by: by, at: at)
        },
        "hand-over" => lambda { |number, typed, by, at|
          Services::HandOver.call(number, counted_out: HandOverForm.counted(typed), missing_note: Note.of(typed["missing_note"], :missing_note), by: by, at: at)
        },
        "offer" => ->(number, _, by, at) { Services::MakeOffer.call(number, by: by, at: at) },
        "discount" => ->(number, typed, by, at) { Services::SetDiscount.call(number, **DiscountForm.taken_off(typed), by: by, at: at) },
        "sheet" => ->(number, _, by, at) { Services::AdoptSheet.call(number, by: by, at: at) },
        "end" => ->(number, typed, by, at) { Services::EndEarly.call(number, how: typed["how"].to_s, by: by, at: at) }
      }.freeze

      def self.registered(app)
        pages(app)
        papers(app)
        questions(app)
        steps(app)
        work(app)
      end

      def self.pages(app)
        app.get("/jobs/:number") { job_page(id_of(params["number"])) }

        app.get "/jobs/:number/history" do
          job = job_asked
          @title = "History of #{job.number}"
          erb :"job/history", layout: !htmx?, locals: { job: job, events: Models::Event.where(job_id: job.id).order(:id).all }
        end

        app.helpers Helpers
      end
      private_class_method :pages

      def self.papers(app)
        app.get("/jobs/:number/tag.pdf") { pdf claim_tag(job_asked), "tag-#{params['number']}" }
        app.get("/jobs/:number/estimate.pdf") { pdf estimate_paper(job_asked), "estimate-#{params['number']}" }
        app.get("/jobs/:number/trays.pdf") { pdf tray_labels(job_asked), "trays-#{params['number']}" }

        app.get "/jobs/:number/labels.pdf" do
          job = job_asked
          labels = Labels.new(job).call
          raise Services::Refused, "Nothing new was fitted in job #{job.number}, so there is no label to print." if labels.empty?

          pdf Papers::FilterLabel.new(shop: "#{shop.name}, #{shop.phone}", labels: labels).render, "labels-#{job.number}"
        end
      end
      private_class_method :papers

      def self.steps(app)
        app.post "/jobs/:number/stops/:id" do
          number = id_of(params["number"])
          attempt(number, "stop") { Services::ClearStop.call(number, id_of(params["id"]), note: Note.of(params["note"], :note), by: person, at: now) }
        end

        app.post "/jobs/:number/:step" do
          number = id_of(params["number"])
          action = ACTIONS.fetch(params["step"]) { pass }
          attempt(number, params["step"]) { action.call(number, params, person, now) }
        end
      end
      private_class_method :steps

      def self.questions(app)
        app.post "/jobs/:number/questions/:id" do
          number = id_of(params["number"])
          attempt(number, "questions") { Services::AskAboutJob.reply(number, id_of(params["id"]), Note.of(params["reply"], :reply), by: person, at: now) }
        end
      end
      private_class_method :questions

      def self.work(app)
        app.post "/jobs/:number/items/:id/:step" do
          number = id_of(params["number"])
          item = id_of(params["id"])
          attempt(number, "item-#{item}") do
            case params["step"]
            when "part" then Services::ChoosePart.call(number, item, choice: params["choice"].to_s, by: person, at: now)
            when "done" then Services::DoWorkItem.call(number, item, by: person, at: now, wash: how_washed)
            when "cover" then Services::CoverItem.call(number, item, covered: params["covered"] == "1", by: person, at: now)
            when "undo" then Services::UndoWorkItem.call(number, item, by: person, at: now)
            else pass
            end
          end
        end
      end
      private_class_method :work

      # Helpers of this screen's routes and templates.
      module Helpers
        # @return [Models::Job] the one that the address names
        def job_asked
          Services::Lookup.job(id_of(params["number"]))
        end

        def job_page(number, problem: nil, typed: {}, errors: {})
          visit = Visit.new(Services::Lookup.visit(number), now: now, policies: policies)
          @title = "Job #{number}"
          @keys = [["l", "to the look-over"]]
          erb :"job/page", locals: { visit: visit, job: visit.job, problem: problem, typed: typed, errors: errors }
        end

        # Back to the page when it went well; the same page, with what was typed, when it did not.
        def attempt(number, where)
          yield
          redirect "/jobs/#{number}#next", 303
        rescue Services::Refused, Services::Stale, Services::Invalid => e
          status Config::Web::ErrorTable.status(e)
          job_page(number, problem: { where: where, message: e.message }, typed: params, errors: e.is_a?(Services::Invalid) ? e.errors : {})
        end

        def how_washed
          { shaken: params["not_shaken"].nil?, draught: !params["draught"].nil? }
        end

        # The tag, and the slip for the customer, whose code opens the customer's page.
        # @return [String] PDF
        def claim_tag(job)
          Papers::ClaimTag.new(shop: "#{shop.name}, #{shop.phone}", tags: [Services::PrintedTags.tag(job, today: today), slip(job)]).render
        end

        def slip(job)
          { number: job.number, code: Outbox::JobLink.of(job), lines: [job.machine.sheet.title, "Scan to see how it stands", "See our offer there, agree to it, or ask us.", "Bring this slip when you fetch it."] }
        end

        # One label for every part that comes off for the work that is planned, and for what goes back to the customer.
        def tray_labels(job)
          items = job.work_items_dataset.exclude(state: "left").eager(rack_stays: :place).all
          parts = items.map { |item| off_label(job.sheet.position(item.position), item) }
          parts += items.flat_map(&:goes_back).map { |name| { name: name.capitalize, note: "goes back to #{job.customer.name}" } }
          came = Core::Intake::Accessories.words(job.accessories.to_h { |one| [one.name, one.pieces_in] })
          Papers::TrayLabel.new(number: job.number, machine: "#{job.sheet.title}, #{job.customer.name}", came_with: came, parts: parts).render
        end

        def off_label(place, item)
          { name: place.name, note: [item.action, item.on_rack && "rack #{item.on_rack.place.label}"].compact.join(", ") }
        end

        # As it was agreed, or as it was offered, or as it stands while neither is.
        def estimate_paper(job)
          visit = Visit.new(job, now: now, policies: policies)
          agreed = visit.agreed
          offer = visit.offer if visit.offered?
          lines = [job.sheet.title, job.customer.name, ("plate #{job.machine.plate}" if job.machine.plate), job.complaint].compact
          Papers::Estimate.new(shop: [shop.name, shop.street, shop.town, shop.phone].compact.join(", "), number: job.number, about: lines,
                               estimate: agreed || offer || visit.quote, money: method(:money), notes: estimate_notes(visit, agreed, offer)).render
        end

        def estimate_notes(visit, agreed, offer)
          ready = ready_words(visit)
          return [ready, offer ? "Not agreed yet; these prices hold until #{day(offer.valid_until)}." : "Not agreed yet; today's prices."].compact unless agreed

          [ready, "Agreed by #{agreed.agreed_name} #{SettleForm::AGREED.fetch(agreed.agreed_how)}, #{day(Config::Zone.date(agreed.agreed_at))}.",
           agreed.call_above_cents && "Call before it comes to more than #{money(agreed.call_above_cents)}.",
           agreed.warranty_name && "#{agreed.warranty_name} agreed that the maker's warranty may end."].compact
        end

        # Nothing is promised before it is agreed.
        def ready_words(visit)
          return "Ready #{moment(visit.promise_now.call)}, when it is agreed now." if visit.step == :settle

          visit.job.promise_at && "Ready #{moment(visit.job.promise_at)}."
        end

        def problem_at(problem, where)
          return "" unless problem && problem[:where] == where

          %(<p class="slip slip-stop" role="alert">#{::Rack::Utils.escape_html(problem[:message])}</p>)
        end
      end
    end
  end
end
