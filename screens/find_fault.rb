# frozen_string_literal: true

module UprightBench
  module Screens
    # The search for what is behind a complaint: the next check large, with its answers under one key each, and below it
    # all that it can be.
    module FindFault
      KEYS = [["f", "found: it shows its sign"], ["n", "nothing: it is clear"], ["x", "cannot tell"],
              ["g", "take what the gauge shows"], ["1 to 9", "found, and this is what was seen"]].freeze

      def self.registered(app)
        app.helpers Helpers, AirWords, GaugeWords
        app.get("/jobs/:number/fault") { fault_page(id_of(params["number"])) }

        app.post("/jobs/:number/fault", may: :work) do
          search_step { |number, said| Services::SearchFault.begin(number, params["complaint"].to_s, **said) }
        end
        answers_routes(app)
        ending_routes(app)
        readings_routes(app)
      end

      def self.answers_routes(app)
        app.post "/jobs/:number/fault/answer", may: :work do
          search_step do |number, said|
            Services::SearchFault.answer(number, params["check"].to_s, params["result"].to_s,
              cause: given(params["cause"]), **said)
          end
        end

        app.post "/jobs/:number/fault/back", may: :work do
          search_step { |number, said| take_answer_back(number, **said) }
        end
      end

      def self.ending_routes(app)
        app.post "/jobs/:number/fault/still-there", may: :work do
          search_step { |number, said| Services::SearchFault.still_there(number, given(params["cause"]), **said) }
        end

        app.post "/jobs/:number/fault/end", may: :work do
          search_step { |number, said| Services::SearchFault.finish(number, given(params["cause"]), **said) }
        end
      end

      def self.readings_routes(app)
        app.post "/jobs/:number/fault/readings", may: :work do
          form = ReadingForm.of(params)
          search_step(form) do |number, said|
            raise Services::Invalid, form.errors unless form.ok?

            Services::TakeReading.call(number, **form.fields, **said)
          end
        end

        app.post("/jobs/:number/fault/gauge", may: :work) { gauge_asked(id_of(params["number"])) }

        app.post "/jobs/:number/fault/readings/:id/back", may: :work do
          search_step { |number, said| Services::TakeReading.take_back(number, id_of(params["id"]), **said) }
        end
      end
      private_class_method :answers_routes, :ending_routes, :readings_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        HOW_WORDS = { exact: "No order takes fewer minutes on average.",
                      likeliest: "Of the likeliest places and the tries, no order takes fewer minutes on average.",
                      greedy: "Too much is left to compare every order; this one is near the best.",
                      first: "It costs a minute at most and opens nothing, so it comes first." }.freeze
        RUNGS = 8 # causes that are shown
        LEAST = 0.001

        def fault_page(number, problem: nil, form: nil)
          page = Queries::FaultPage.new(Services::Lookup.job_to_show(number), policies: policies)
          @title = "Find the fault, job #{number}"
          @keys = KEYS
          gauge = gauge_of(page.job)
          erb :"find_fault/page", locals: { page: page, job: page.job, problem: problem, gauge: gauge,
                                            form: form || ReadingForm.asking(page.open? && page.located&.next_reading) }
        end

        # Back to the page when it went well; the same page when it did not.
        # @param form [ReadingForm, nil] that was sent
        def search_step(form = nil)
          number = id_of(params["number"])
          yield number, { by: person, at: now }
          redirect "/jobs/#{number}/fault", 303
        rescue Services::Refused, Services::Stale, Services::Invalid => e
          status Web::ErrorTable.status(e)
          return fault_page(number, problem: e.message) unless form

          form.add(e.errors) if form.ok? && e.is_a?(Services::Invalid)
          fault_page(number, problem: (e.message unless e.is_a?(Services::Invalid)), form: form)
        end

        # What was recorded there since stays, and the page says so.
        def take_answer_back(number, **said)
          stays = Services::SearchFault.take_back(number, **said) or return
          place = Services::Lookup.job(number).sheet.position(stays).name
          say "Taken back. The finding at “#{place}” stays, since more was recorded there or work rests on it: " \
              "change it in the look-over."
        end

        # @return [String, nil] nil for what is empty or no text
        def given(typed)
          typed if typed.is_a?(String) && !typed.empty?
        end

        # @return [Array<Core::Faults::Complaints::Complaint>] those that the customer told
        def complaints_told(job)
          Core::Faults::Complaints.in_text(job.complaint) & Core::Faults::Complaints.of(job.sheet)
        end

        # @return [Array<Core::Faults::Complaints::Complaint>] those of the job first
        def complaints_for(job)
          told = complaints_told(job)
          told + (Core::Faults::Complaints.of(job.sheet) - told)
        end

        def complaint_words(key)
          Core::Faults::Complaints.fetch(key).words
        end

        def fault_ribbon(page)
          Drawings::Ribbon.new(sheet: page.job.sheet, marks: page.marks, notes: page.notes,
            current: (page.next_step&.check&.place if page.open?),
            link: ->(key) { "/jobs/#{page.job.number}/look-over?at=#{key}" }).render
        end

        # @return [Array<Core::Faults::Cause>] those that are worth a line
        def rungs(ladder)
          ladder.causes.first(RUNGS).select { |cause| ladder.belief[cause.key] >= LEAST }
        end

        # @return [String] as in "12 %" and "under 1 %"
        def share_words(share)
          share.positive? && share < 0.01 ? "under 1 %" : "#{(share * 100).round} %"
        end

        # @return [String] as in "4 min; first: take the bin off"
        def check_minutes(step, search)
          return minutes_words(step.minutes) if step.opens.empty?

          names = search.openings.select { |opening| step.opens.include?(opening.key) }.map(&:name)
          "#{minutes_words(step.minutes)}; first: #{names.map(&:downcase).join(', then ')}"
        end

        # @param page [Queries::FaultPage]
        # @return [String] as in "12 min, 3 min of it for answers taken back"
        def spent_words(page)
          vain = page.ladder.spent_in_vain
          "#{minutes_words(page.spent)}#{", #{minutes_words(vain)} of it for answers taken back" if vain >= 0.5}"
        end

        # @param result [Symbol]
        # @return [String] as in "no pull at the open end"
        def shown_words(check, result)
          English::Tries.outcome(check, result)
        end

        # @param cause [Core::Faults::Cause] the likeliest that it shows
        # @return [String] as on the button: "It pulls hard at the open end", or "Found: clogged"
        def found_button(check, cause)
          shown = sentence_case(shown_words(check, :found))
          tried = check.splits || (check.tried? && one_sign?(check))
          tried ? shown : "#{shown}: #{seen_words(check, cause)}"
        end

        # @return [String]
        def clear_button(check)
          sentence_case(shown_words(check, :clear))
        end

        # @return [Array<Core::Faults::Cause>] what else may be seen, each with a button of its own
        def others_seen(check, causes)
          check.splits ? [] : causes.drop(1)
        end

        # @return [Boolean] whether it shows one thing only
        def one_sign?(check)
          check.shows.size == 1 && check.codes.empty?
        end

        # @return [String] how a cause shows in a check, as on the button that says so
        def seen_words(check, cause)
          check.codes.fetch(cause.key) { fault_words_of(cause) }
        end

        # @return [String] as in "Pre-motor filter: clogged"
        def cause_words(cause)
          English::Faults.cause(cause)
        end

        # @return [String] as in "clogged"
        def fault_words_of(cause)
          English::Faults.short(cause)
        end

        # @param key [String] of a cause
        def known_words(sheet, key)
          English::Faults.cause_of(sheet, key)
        end

        # @param causes [Array<Core::Faults::Cause>] at one place
        # @return [String] as in "Bag (full, burst)"
        def origin_words(causes)
          "#{causes.first.name} (#{causes.map { |cause| fault_words_of(cause) }.join(', ')})"
        end

        # @return [English::Faults::Look]
        def look_words(check, job)
          English::Faults.look(check, job.sheet)
        end

        # @return [Array<Core::Faults::Cause>] those that a check shows, the likeliest first
        def shown_at(ladder, check)
          ladder.causes.select { |cause| check.shows.key?(cause.key) }
        end

        # @return [String, nil] when looking on may cost more than was agreed for it
        def beyond_agreed(page, step)
          agreed = page.agreed_minutes or return
          ahead = page.spent + (step.to_go || step.minutes)
          return if ahead <= agreed

          "#{money(page.job.look_fee_cents)} of looking was agreed: #{minutes_words(agreed)}. With what is ahead it " \
            "comes to about #{minutes_words(ahead)}. Ask the customer, or send it on."
        end
      end
    end
  end
end
