# frozen_string_literal: true

module UprightBench
  module Screens
    # A machine: what is due on it and why, what another use would make of it, and its years.
    module Machines
      def self.registered(app)
        app.helpers Helpers

        app.get "/machines/:id/what-if" do
          machine = machine_asked
          @title = "What if, #{machine.sheet.title}"
          form = WhatIfForm.new(params)
          status 422 unless form.ok?
          what_if(machine, form)
        end

        app.get("/machines/:id") { machine_page(Services::Lookup.machine_to_show(id_of(params["id"]))) }
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        def machine_asked
          Services::Lookup.one(:machine, id_of(params["id"]))
        end

        def machine_page(machine)
          @title = machine.sheet.title
          erb :"machines/machine", locals: {
            machine: machine, core: machine.to_core, use: machine.use_rate(today),
            page: Queries::MachineOverview.new(machine)
          }
        end

        # Every date as it would be with another use; nothing is kept.
        def what_if(machine, form)
          answer = Services::WhatIf.call(machine, **form.use, on: today) if form.ok?
          now_due = Queries::MachineDues.call(machine.id).to_h { |due| [[due.position, due.task], due.due_on] }
          erb :"machines/what_if", layout: !htmx?, locals: {
            machine: machine, form: form, answer: answer, now_due: now_due
          }
        end

        # @param life [Queries::MachineLife]
        def life_drawing(life)
          Drawings::Years.new(lanes: life.places.map { |place| Drawings::Years::Lane.new(**place.to_h) },
            jobs: life.taken_in_on, today: today).render
        end

        # @param visits [Array<Queries::MachineAir::Visit>]
        def air_drawing(visits)
          Drawings::AirLine.new(visits).render
        end

        # @return [String] as in "62 % before, 97 % after"
        def air_shares(visit)
          { "before" => visit.before, "after" => visit.after }.compact
            .map { |name, share| "#{(share * 100).round} % #{name}" }.join(", ")
        end

        # @return [String] the machine's ribbon, with what is due on it
        def due_ribbon(machine, dues)
          Drawings::Ribbon.new(sheet: machine.to_core, marks: due_marks(machine.to_core, dues), notes: due_notes(dues))
            .render
        end

        # @return [String] when and where a machine was bought, and its warranty
        def bought_words(machine)
          if machine.bought_on
            bought = ", bought #{day(machine.bought_on)}#{" at #{machine.bought_at}" if machine.bought_at}"
          end
          "#{bought}, #{warranty_words(machine.warranty(today))}"
        end

        # @return [String] what the household shortens, if anything
        def household_words(machine)
          household = machine.household
          return "" if household.words.empty?

          " Household: #{household.words}. #{shortened_words(household)}"
        end

        # Hours of use count already what daily use adds.
        def shortened_words(household)
          calendar, use = [household, household.dirt].map { |acts| acts.factor(policies.household_factors) }
          return "Washes and bags × #{figure(calendar, decimals: 2)}." if calendar == use

          "Washes and bags by months × #{figure(calendar, decimals: 2)}, by hours × #{figure(use, decimals: 2)}."
        end

        # @return [String] pieces and a link to the part
        def part_link(part, pieces)
          %(#{pieces} × <a href="/shelf/#{part.id}">#{h(part.name)}</a> <span class="mono">#{h(part.number)}</span>)
        end

        # @return [Array<Array(Models::Due, Date)>] what would move, with the date as it is
        def moved_dues(answer, now_due)
          answer.dues.map { |due| [due, now_due[[due.position, due.task]]] }.reject { |due, was| was == due.due_on }
        end

        # What a machine's ribbon says: the action that is due within a month, else leave.
        # @param core [Core::Sheets::Sheet]
        # @param dues [Array<Models::Due>] soonest first
        def due_marks(core, dues)
          soon = dues.select { |due| due.due_on && due.due_on <= today + 30 }
          core.positions.to_h { |place| [place.key, :leave] }
            .merge(soon.reverse.to_h { |due| [due.position, due_mark(due.action)] })
        end

        def due_notes(dues)
          dues.reverse_each.to_h do |due|
            [due.position, due.due_on ? "#{due.action} due #{day(due.due_on)}" : "nothing falls due"]
          end
        end

        def due_mark(action)
          { "wash" => :wash, "clean" => :clean, "replace" => :replace, "inspect" => :unseen }.fetch(action)
        end
      end
    end
  end
end
