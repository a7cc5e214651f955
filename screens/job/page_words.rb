# frozen_string_literal: true

module UprightBench
  module Screens
    module Job
      # The sentences of the job page. `page` is a Queries::JobPage throughout.
      module PageWords
        # @return [Array<Symbol>] the steps that the page shows, the last first reached
        def job_steps(page)
          steps = Core::Jobs::States::STEPS.keys - [:done]
          shown = steps.take_while { |step| page.phase(step) != :later }
          page.job.agreed_at ? shown : shown - [:work]
        end

        # @return [String] as in "12 of 13 places looked at, 1 stop, 1 stop cleared"
        def findings_words(page)
          standing = page.standing_stops.size
          stops = { "" => standing, " cleared" => page.stops.size - standing }
            .filter_map { |more, count| "#{counted(count, 'stop')}#{more}" if count.positive? }
          ["#{page.findings.size} of #{page.sheet.positions.size} places looked at", *stops].join(", ")
        end

        def look_over_action(page)
          return "See the findings" unless page.step == :look_over

          page.findings.empty? ? "Look it over" : "Continue the look-over"
        end

        # @return [String] who agreed to what, or that nobody did
        def agreed_words(page)
          job = page.job
          return "Not agreed: #{job.state_words}." unless job.agreed_at

          first = "Agreed by #{job.agreed_name} #{SettleForm::AGREED.fetch(job.agreed_how)}, #{moment(job.agreed_at)}"
          agreed = page.agreed or return "#{first}."
          again = " (last by #{agreed.agreed_name}, #{moment(agreed.agreed_at)})" if agreed.version > 1
          "#{first}: #{money(agreed.total_cents)}#{again}."
        end

        def beyond_words(page)
          page.agreed ? ": #{money(page.agreed.total_cents)} then, #{money(page.quote.total_cents)} now" : ""
        end

        def estimate_sent_words(page)
          sent = page.sent_estimate or return "The customer has not seen this yet."
          return "It changed since it was sent (#{money(sent.total_cents)} then)." if page.sent_estimate_stands?

          "The estimate lapsed on #{day(sent.valid_until)}. These are today's prices."
        end

        # @return [String] what was done at each place, in a line
        def work_done_words(page)
          done = page.items.map do |item|
            part = " (#{item.part.name})" if item.part && item.state == "done"
            "#{page.sheet.position(item.position).name}: #{item_how_words(item)}#{part}"
          end
          done.empty? ? "Nothing to do." : "#{done.join('; ')}."
        end

        # @return [Array<String>] places of which nobody knows since when anything runs
        def unknown_dues(page)
          page.dues_to_settle.select { |row| row.outlook.state == :unknown }.map { |row| row.place.name.downcase }.uniq
        end

        # @return [Array<Services::DuesAtJob::Row>] what is overdue, and what was said to be still good
        def expired_dues(page)
          page.dues_to_ask.select { |row| row.outlook.state == :expired || row.choice == "good" }
        end

        def soon_dues(page)
          page.dues_to_ask.select { |row| row.outlook.state == :soon } - expired_dues(page)
        end

        def list_words(names)
          English::List.of(names)
        end

        # @return [String] as in "replace: due since 17 Jun 2025 (12 months from 17 Jun 2024)"
        def due_words(row)
          return "#{row.task.action}: looked at and still good, again #{day(row.due_on)}." if row.choice == "good"

          due = row.outlook.state == :expired ? "due since #{full_day(row.due_on)}" : "falls due #{day(row.due_on)}"
          left = row.choice == "left" ? " The customer leaves it." : ""
          "#{row.task.action}: #{due} (#{sentence(row.why)}).#{left}"
        end

        DUE_CHOICES = { "good" => "Looked at, still good", "left" => "The customer leaves it" }.freeze

        def due_choice_words(row, choice)
          DUE_CHOICES.fetch(choice) { "#{row.task.action.capitalize} it now" }
        end

        # @return [Boolean] whether there is a label to print
        def fitted_anything?(page)
          page.items.any? { |item| item.state == "done" && item.action == "replace" }
        end

        # @param dues [Array<Models::Due>] the next first
        # @return [String] as in "fleece bag 28 Feb 2027, and 4 more"; not what is done at home, where there is more
        def first_due_words(dues)
          first = dues.find { |due| !done_at_home?(due) } || dues.first
          more = ", and #{dues.size - 1} more" if dues.size > 1
          "#{first.action} #{first.position_name.downcase}, #{due_day(first)}#{more}"
        end

        # @return [String, nil] the parts in the order in which they go back; what is counted in says so itself
        def refit_words(page)
          parts = page.strip.refit.flat_map(&:places).map { |place| place.name.downcase }
          parts.join("; ") if parts.any?
        end

        # @return [String] as in "screen. Then look at the light gaskets: bin rim seal."
        def blow_out_words(blow_out)
          light = " Then look at the light gaskets: #{blow_out.light.join(', ')}." if blow_out.light.any?
          "#{blow_out.places.map { |place| place.name.downcase }.join(', ')}.#{light}"
        end

        # @return [String] as in "2 × crevice tool, wand"
        def accessories_words(accessories)
          Core::Intake::Accessories.words(accessories.to_h { |accessory| [accessory.name, accessory.pieces_in] })
        end

        def missing_words(accessories)
          missing = accessories.to_h { |accessory| [accessory.name, accessory.pieces_in - accessory.pieces_out.to_i] }
          Core::Intake::Accessories.words(missing.select { |_, pieces| pieces.positive? })
        end

        def event_place(job, event)
          position = event.data["position"]
          position ? ", #{job.sheet.position(position).name.downcase}" : ""
        end
      end
    end
  end
end
