# frozen_string_literal: true

module UprightBench
  module Screens
    # One page for the whole job: settle, work, close up, hand over. A form that cannot be taken shows the page again,
    # with the message where the form stands and everything that was typed.
    module Job
      # Steps of a job and the service each form calls. `typed` are the request's parameters.
      ACTIONS = {
        "settle" => lambda { |number, typed, by, at|
          Services::Settle.call(number, **SettleForm.agreed(typed), together: typed["together"] == "1", by: by, at: at)
        },
        "agree" => lambda { |number, typed, by, at|
          Services::Agree.call(number, **SettleForm.agreed(typed), by: by, at: at)
        },
        "close-up" => lambda { |number, typed, by, at|
          said = %i[wet_reason weak_reason stands_at not_mended_reason].to_h do |field|
            [field, Note.of(typed[field.to_s], field)]
          end
          Services::CloseUp.call(number, **said, by: by, at: at)
        },
        "hand-over" => lambda { |number, typed, by, at|
          Services::HandOver.call(number, counted_out: HandOverForm.counted(typed), way: HandOverForm.way(typed),
            missing_note: Note.of(typed["missing_note"], :missing_note), by: by, at: at)
        },
        "estimate" => ->(number, _, by, at) { Services::SendEstimate.call(number, by: by, at: at) },
        **Services::TellEstimate::WAYS.to_h do |way|
          ["send-estimate-#{way}",
           ->(number, _, by, at) { Services::TellEstimate.call(number, way: way, by: by, at: at) }]
        end,
        "discount" => lambda { |number, typed, by, at|
          Services::SetDiscount.call(number, **DiscountForm.taken_off(typed), by: by, at: at)
        },
        "call-off" => lambda { |number, typed, by, at|
          reason = Note.of(typed["call_off_reason"], :call_off_reason).to_s[0, 300]
          Services::CallOff.call(number, reason: reason, by: by, at: at)
        },
        "take-back" => lambda { |number, typed, by, at|
          reason = Note.of(typed["take_back_reason"], :take_back_reason).to_s[0, 300]
          Services::TakeBack.call(number, reason: reason, by: by, at: at)
        },
        "tell" => ->(number, _, by, at) { Services::TellAgain.call(number, by: by, at: at) },
        "tell-late" => lambda { |number, typed, by, at|
          Services::TellLate.call(number, till: Time.at(typed["till"].to_s.to_i), by: by, at: at)
        },
        "deposit" => lambda { |number, typed, by, at|
          form = Bills::PaymentForm.new(typed)
          raise Services::Invalid, { deposit: ["A deposit is a sum above 0."] } unless form.ok?

          Services::TakePayment.call(of: Services::Lookup.job(number), cents: form.cents(:amount), by: by, at: at,
            **form.values.slice(:way, :request_key))
        },
        "sheet" => ->(number, _, by, at) { Services::AdoptSheet.call(number, by: by, at: at) },
        "end" => ->(number, typed, by, at) { Services::EndEarly.call(number, how: typed["how"].to_s, by: by, at: at) }
      }.freeze

      def self.registered(app)
        pages_routes(app)
        papers_routes(app)
        questions_routes(app)
        steps_routes(app)
        work_routes(app)
      end

      def self.pages_routes(app)
        app.get("/jobs/:number") { job_page(id_of(params["number"])) }

        app.get "/jobs/:number/history" do
          job = job_asked
          @title = "History of #{job.number}"
          erb :"job/history", layout: !htmx?, locals: { job: job, events: Queries::JobHistory.call(job) }
        end

        # When it would be ready, with each choice; the page does not wait for it.
        app.get "/jobs/:number/times" do
          page = Queries::JobPage.new(job_asked, now: now, policies: policies)
          erb :"job/times", layout: false, locals: { page: page }
        end

        app.helpers Helpers, PageWords, ItemWords, MoneyWords
      end
      private_class_method :pages_routes

      def self.papers_routes(app)
        { "tag" => :tag, "estimate" => :estimate, "trays" => :trays, "labels" => :filter_labels,
          "slip" => :hand_over_slip }.each do |name, paper|
          app.get("/jobs/:number/#{name}.pdf", may: (:see_prices if %w[estimate slip].include?(name))) do
            pdf job_papers.public_send(paper), "#{name}-#{params['number']}"
          end
        end
      end
      private_class_method :papers_routes

      def self.steps_routes(app)
        app.post "/jobs/:number/stops/:id", may: :work do
          number = id_of(params["number"])
          attempt(number, "stop") do
            Services::ClearStop.call(number, id_of(params["id"]),
              note: Note.of(params["note"], :note), by: person, at: now)
          end
        end

        app.post "/jobs/:number/:step", may: :work do
          number = id_of(params["number"])
          action = ACTIONS.fetch(params["step"]) { pass }
          attempt(number, params["step"]) { action.call(number, params, person, now) }
        end
      end
      private_class_method :steps_routes

      def self.questions_routes(app)
        app.post "/jobs/:number/questions/:id", may: :work do
          number = id_of(params["number"])
          attempt(number, "questions") do
            Services::AskAboutJob.reply(number, id_of(params["id"]),
              Note.of(params["reply"], :reply), by: person, at: now)
          end
        end
      end
      private_class_method :questions_routes

      def self.work_routes(app)
        app.post "/jobs/:number/dues/:position/:task", may: :work do
          number = id_of(params["number"])
          attempt(number, "due") do
            Services::SettleDue.call(number, params["position"], params["task"], choice: params["choice"].to_s,
              by: person, at: now)
          end
        end

        app.post "/jobs/:number/items/:id/:step", may: :work do
          number = id_of(params["number"])
          item = id_of(params["id"])
          attempt(number, "item-#{item}") { step_of_item(number, item) || pass }
        end
      end
      private_class_method :work_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        # @return [Models::WorkItem, nil] nil for a step that is none
        def step_of_item(number, item)
          said = { by: person, at: now }
          case params["step"]
          when "part" then Services::ChoosePart.call(number, item, choice: params["choice"].to_s, **said)
          when "done" then item_done(number, item, **said)
          when "cover" then Services::CoverItem.call(number, item, covered: params["covered"] == "1", **said)
          when "fits" then Services::TeachFit.fits(number, item, **said)
          when "misfits" then Services::TeachFit.misfits(number, item, reason: misfit_reason, **said)
          when "undo" then Services::UndoWorkItem.call(number, item, **said)
          end
        end

        def item_done(number, item, **said)
          Services::DoWorkItem.call(number, item, wash: how_washed, sure: params["sure"] == "1", **said)
        end

        def misfit_reason
          Note.of(params["misfit_reason"], :misfit_reason).to_s[0, 300]
        end

        # @return [Models::Job] the one that the address names
        def job_asked
          Services::Lookup.job(id_of(params["number"]))
        end

        def job_page(number, problem: nil, typed: {}, errors: {})
          page = Queries::JobPage.new(Services::Lookup.job_to_show(number), now: now, policies: policies)
          @title = "Job #{number}"
          @keys = [["l", "to the look-over"], ["d", "the next step: agreed, done, close up, hand over"]]
          erb :"job/page", locals: { page: page, job: page.job, problem: problem, typed: typed, errors: errors }
        end

        # Back to the page when it went well; the same page, with what was typed, when it did not.
        def attempt(number, where)
          yield
          redirect "/jobs/#{number}#next", 303
        rescue Services::Refused, Services::Stale, Services::Invalid => e
          status Web::ErrorTable.status(e)
          job_page(number, typed: params,
            problem: { where: where, message: e.message, takes_slot: e.is_a?(Services::TakesSlot) },
            errors: e.is_a?(Services::Invalid) ? e.errors : {})
        end

        # @return [PartChoices]
        def part_choices(page, item)
          PartChoices.new(page, item, moment: method(:moment))
        end

        def job_ribbon(page)
          Drawings::Ribbon.new(sheet: page.sheet, marks: page.marks, notes: page.notes,
            link: ->(key) { "/jobs/#{page.job.number}/look-over?at=#{key}" }).render
        end

        def customer_link(job)
          Outbox::JobLink.of(job)
        end

        # @return [Hash{String=>String}] how the estimate can be sent out => what the button says
        def estimate_ways(customer)
          Core::Cards::Channels::ALL.select { |channel| channel.tells? && customer[channel.address_column] }
            .to_h { |channel| [channel.key.to_s, "Send it #{channel.by}"] }
        end

        # @return [String] what is still missing in a sheet that was begun at the counter, or from a starter
        def rough_sheet_words(sheet)
          return "it says nothing about washing and clocks." if sheet.positions.all? { |place| place.tasks.empty? }

          "it says what is usual for its kind. Look through it with the machine before you."
        end

        def discount_percent(job)
          job.discount_percent && format("%g", job.discount_percent)
        end

        # Attributes and words of a field of which a service says what is wrong.
        def invalid_at(errors, name)
          %( aria-invalid="true" aria-describedby="#{name}-error") if errors[name]
        end

        def error_at(errors, name, label)
          return "" unless errors[name]

          %(<p class="field-error" id="#{name}-error">#{h("#{label} #{errors[name].join('; ')}")}</p>)
        end

        def how_washed
          typed = params["dry_grams"].to_s.strip
          { shaken: params["not_shaken"].nil?, draught: !params["draught"].nil?,
            elsewhere: Note.of(params["elsewhere"], :elsewhere).to_s,
            dry_grams: (grams_typed("dry_grams") unless typed.empty?) }
        end

        # @return [JobPapers] of the job that the address names
        def job_papers
          page = Queries::JobPage.new(Services::Lookup.job_to_show(id_of(params["number"])), now: now,
            policies: policies)
          JobPapers.new(page, shop: shop, words: self, now: now, policies: policies, first: params["first"])
        end

        def problem_at(problem, where)
          return "" unless problem && problem[:where] == where

          %(<p class="slip slip-stop" role="alert">#{::Rack::Utils.escape_html(problem[:message])}</p>)
        end
      end
    end
  end
end
