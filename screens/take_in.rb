# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    # From a machine on the counter to a job on the bench.
    module TakeIn
      COMPLAINTS = ["pulses", "weak on the floor", "weak everywhere", "no suction", "brush does not turn", "smells",
                    "dirt comes back out",
                    "short run time", "yearly service", "hard to push", "dust in the exhaust air", "lid or bin stiff",
                    "noise"].freeze

      KEYS = [["1 to 9", "the first nine complaints"], ["n", "none of the conditions"], ["m", "made safe"],
              ["Enter", "take it in"],
              ["↓ ↑", "walk the results"]].freeze

      # The machines found of one customer.
      Group = Struct.new(:customer_id, :name, :machines)

      def self.registered(app)
        app.helpers Helpers, Folds

        app.get "/take-in" do
          only = params["q"] && Services::FindCustomers.only_machine(params["q"].to_s)
          next redirect("/take-in?machine_id=#{only}", 303) if only

          subject = take_in_subject
          take_in_page(subject, TakeInForm.blank(prefilled(subject)), query: params["q"].to_s)
        end

        app.get "/take-in/find" do
          query = params["q"].to_s
          erb :"take_in/_hits", layout: false, locals: { groups: customers_found(query), query: query }
        end

        # Of a new machine: what comes with it and how it is made safe, as soon as model or kind is chosen.
        app.get "/take-in/of-its-kind" do
          erb :"take_in/_of_its_kind", layout: false, locals: {
            subject: take_in_subject, form: TakeInForm.blank(params)
          }
        end

        app.post "/take-in", may: :work, most_bytes: Doors::PICTURES do
          form = TakeInForm.new(with_model(params))
          job = take_in(form)
          next redirect(["/jobs/#{job.number}", ("look-over" if job.made_safe_at)].compact.join("/"), 303) if job

          status 422
          take_in_page(take_in_subject, form)
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        # @return [Hash{String=>String}] how somebody hears about a machine that is here
        def told_by_choices
          { "" => "not agreed: on the call list", "email" => "e-mail", "text" => "text message", "phone" => "phone" }
        end

        def complaints
          COMPLAINTS
        end

        def take_in_subject
          ids = %w[machine_id customer_id].to_h do |name|
            [name.to_sym, params[name].to_s.empty? ? nil : id_of(params[name])]
          end
          Queries::TakeInSubject.new(**ids, **model_chosen, fresh: params.key?("new"))
        end

        # @return [Hash] model or kind of a new machine, where one of ours was sent
        def model_chosen
          typed = with_model(params)["machine"]
          typed = {} unless typed.is_a?(Hash)
          { sheet_id: typed["sheet_id"].to_s[/\A\d{1,18}\z/]&.to_i, kind: one_of(TakeInForm::KINDS, typed["kind"]),
            power: one_of(Seen::VALUES.fetch(:power), typed["power"]) }
        end

        # What fetches accessories and safety anew when model or kind is chosen, and nothing else of the machine is: a
        # box that is ticked meanwhile would be drawn as it was before.
        # @return [String] attributes, as HTML
        def of_its_kind
          %(hx-get="/take-in/of-its-kind" hx-trigger="change" hx-include="#machine, #accessories, #safety" ) +
            %(hx-swap="none" hx-sync="#machine:replace")
        end

        # @return [Symbol, nil]
        def one_of(choices, typed)
          typed.to_sym if choices.include?(typed)
        end

        def take_in_page(subject, form, query: "")
          @title = "Take in"
          @keys = KEYS
          erb :"take_in/page", locals: { subject: subject, form: form, query: query, hits: customers_found(query) }
        end

        # @return [Array<Group>]
        def customers_found(query)
          Services::FindCustomers.call(query).group_by { |hit| [hit.customer_id, hit.name] }
            .map { |(id, name), hits| Group.new(id, name, hits.select(&:machine_id)) }
        end

        # @return [String] what was typed, where it may be a name
        def name_in(query)
          query.match?(/\d/) ? "" : query
        end

        # @return [Hash] what is known already, as it would be typed
        def prefilled(subject)
          typed = known_beforehand.merge("told_by" => subject.customer&.told_by)
          machine = subject.machine or return typed

          typed.merge("hours_per_week" => machine.hours_per_week&.to_f&.then { |hours| format("%g", hours) },
            "traits" => machine.traits.to_a,
            "allergy" => (machine.allergy ? "1" : nil))
        end

        # @return [Hash] what the address says, and what the shop proposes
        def known_beforehand
          { "request_key" => SecureRandom.uuid, "customer" => { "name" => params["name"].to_s },
            "look_fee" => usual_look_fee, "complaint" => params["complaint"].to_s[0, 300] }
        end

        # @return [String, nil] what the shop proposes for looking
        def usual_look_fee
          fee = policies["look_fee"]
          fee.to_s unless fee.zero?
        end

        # A model that was typed in full, and not chosen from the list, is the one of that name.
        def with_model(params)
          machine = params["machine"]
          unless machine.is_a?(Hash) && machine["sheet_id"].to_s.empty? && !params["sheet_title"].to_s.strip.empty?
            return params
          end

          params.merge("machine" => machine.merge("sheet_id" => Queries::FindSheets.exactly(params["sheet_title"]
            .to_s)&.to_s))
        end

        # @return [Models::Job, nil] nil when the form says why not
        def take_in(form)
          return unless form.ok?

          pictures = Services::AddPictures.prepare(uploads)
          job = Services::TakeIn.call(form.input, by: person, at: now)
          Services::AddPictures.call(job.number, pictures, by: person, at: now) if pictures.any?
          job
        rescue Services::Invalid, Services::Refused => e
          form.add(refused_at_intake(e))
          nil
        end

        # Pictures have a field to say it beside; the rest is said above the form.
        def refused_at_intake(error)
          return { base: [error.message] } if error.is_a?(Services::Refused)

          error.errors.key?(:pictures) ? error.errors : { base: error.errors.values.flatten }
        end

        # @return [String] what is known of the machine, and what to mind
        def known_machine_words(subject)
          machine = subject.machine or return ""

          warranty = subject.warranty(today)
          serial = machine.serial_number ? "Serial no. #{machine.serial_number}" : "No serial no. on file"
          mind = "Opening it beyond the owner's handbook may end the warranty: ask the customer first." if warranty.in?
          rough = "Its sheet is not complete yet." if subject.sheet.rough
          ["#{serial}, #{warranty_words(warranty)}.", mind, rough, at_home_words(subject)].compact.join(" ")
        end

        # @param past [Queries::JobsOfMachine::Past]
        # @return [String] as in "Hose cleaned, foam filter replaced."
        def past_work_words(past)
          done = past.work.map { |place, action| "#{place} #{Core::Findings::VerdictKind.past_of(action)}" }.join(", ")
          left = "Left then, ask again: #{past.left.join(', ')}." if past.left.any?
          [done.empty? ? "Nothing was done." : "#{done}.".sub(/\A./, &:upcase), left].compact.join(" ")
        end

        # @return [Date, nil]
        def guarantee_until(subject)
          subject.guarantee_until(policies["guarantee_days"])
        end

        def under_guarantee?(subject)
          last = guarantee_until(subject)
          !last.nil? && last >= today
        end

        # @return [String, nil] what to ask the customer for
        def at_home_words(subject)
          at_home = subject.at_home(today)
          return if at_home.empty?

          pieces = at_home.map { |piece| "#{counted(piece.pieces, piece.kind.tr('_', ' '))} (#{piece.part.name})" }
          "They have new ones at home, ask for them: #{pieces.join(', ')}."
        end
      end
    end
  end
end
