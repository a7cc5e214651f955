# frozen_string_literal: true

module UprightBench
  module Screens
    module Job
      # The slip that goes home with a machine: the job in the words of its customer.
      class SlipPaper
        # @param page [Queries::JobPage]
        # @param today [Date]
        # @param policies [Services::Policies]
        def initialize(page, today:, policies:)
          @page = page
          @today = today
          @policies = policies
          @unit = policies.findings.length_unit
        end

        # @return [Hash{Symbol=>Array}] as Papers::HandOverSlip takes it
        def parts
          return { found: found, done: done, back: back } if @page.job.closed_up_at.nil?

          { unmended: unmended, wet: wet, done: done, air: air,
            left: left_work + left_dues, home: home, next: coming, back: back }
        end

        # @param words [#full_day] how a day is written
        # @return [Array<String>] a sentence each: electrical safety, the shop's guarantee, how they hear from us
        def notes(words)
          [safety(words), guarantee(words), reminded].compact
        end

        # @return [Array<String>]
        def about
          serial = @page.machine.serial_number
          [@page.customer.name, @page.sheet.title, ("Serial no. #{serial}" if serial)].compact
        end

        private

        # That its electrical safety was tested in this job.
        def safety(words)
          made = @page.safety_test or return
          held = ", which holds until #{words.full_day(made.valid_until)}" if made.valid_until
          "Its electrical safety was tested by #{made.tester} on #{words.full_day(made.tested_on)}#{held}."
        end

        # The shop's own; where something was done.
        def guarantee(words)
          days = @policies["guarantee_days"]
          return if days.zero? || @page.items.none? { |item| item.state == "done" }

          handed_over_at = @page.job.handed_over_at
          last = (handed_over_at ? Config::Zone.date(handed_over_at) : @today) + days
          "Our guarantee on this work holds until #{words.full_day(last)}. The law may give you more."
        end

        # By which way they asked to hear when something is due; where its sheet has anything that a card is sent for.
        def reminded
          return if @page.sheet.positions.flat_map(&:tasks).none?(&:card)

          ways = @page.agreed_ways.map(&:words)
          "When something is due you hear from us by #{English::List.of(ways)}, as you asked." if ways.any?
        end

        # What did not pass its test, and why it goes home like that.
        def unmended
          reason = @page.job.not_mended_reason or return []
          failed = @page.trial_state.failed.map { |trial| [failed_words(trial), nil, trial_note(trial)] }
          [*failed, [reason, nil, nil]]
        end

        def failed_words(trial)
          trial.kind == :complaint ? "“#{trial.words[0, 80]}”" : "Not so: #{trial.words.downcase}"
        end

        def trial_note(trial)
          return UNSAFE if trial.kind == :safety

          @page.trial_state.answer(trial).note
        end

        UNSAFE = "Do not use this machine before a competent person has made it safe."
        private_constant :UNSAFE

        # Until when it is to dry, of what goes home before it is dry.
        def wet
          @page.back_wet.map do |item|
            stay = item.rack_stays.last
            dry = "dry #{Core::Units::Moment.whole(Config::Zone.local(stay.dry_at))}" unless stay.too_damp
            [name_of(item.position), dry, LET_IT_DRY]
          end
        end

        # Common practice: water that is drawn through a wet filter ruins the motor.
        LET_IT_DRY = "Let it dry in the open air, away from heat. Do not run the machine before, nor without it."
        private_constant :LET_IT_DRY

        def name_of(position)
          @page.sheet.position(position).name
        end

        # For the customer, and for whoever looks at it next: the maker, or a competent person.
        def found
          bad = @page.findings.values.reject { |finding| finding.verdict == "leave" }
          bad.map { |finding| [name_of(finding.position), finding.verdict, FoundForCustomers.of(finding, unit: @unit)] }
        end

        def done
          @page.items.select { |item| item.state == "done" }.map do |item|
            done = Core::Findings::VerdictKind.past_of(item.action)
            ["#{name_of(item.position)}: #{done}", item.part&.number, why_done(item)]
          end
        end

        # What was found, without what it asked for: that is done.
        # @return [String, nil]
        def why_done(item)
          why = why_left(item) or return
          why.split(/[:;] /, 2).first.delete_suffix(".")
        end

        # What the gauge showed at one point, before the work and after it, of what a machine in order does.
        def air
          @page.gains.map do |gain|
            before, after = [gain.before, gain.after].map { |value| (value / gain.expected * 100).round }
            ["#{air_words(gain)}, of a machine in order", "#{before} %, now #{after} %"]
          end
        end

        def air_words(gain)
          station = @page.sheet.stations.find { |one| one.key == gain.point }&.name || gain.point
          "#{gain.kind == :flow ? 'Air' : 'Suction'} at the #{station.downcase}"
        end

        def left_work
          @page.items.select { |item| item.state == "left" }.map do |item|
            [name_of(item.position), "as found", why_left(item)]
          end
        end

        # @return [String, nil]
        def why_left(item)
          finding = @page.findings[item.position]
          FoundForCustomers.words(item, finding, unit: @unit) unless FoundForCustomers.judged?(finding)
        end

        # What was due and is not named above.
        def left_dues
          named = @page.items.select { |item| item.state == "left" }.map(&:position)
          (@page.left_places - named).select { |key| @page.sheet.position?(key) }
            .map { |key| [name_of(key), "its time is up"] }
        end

        # What nobody is written to about: the customer's own care, and when a bin is emptied (common practice).
        def home
          own = @page.sheet.walk.flat_map { |place| place.tasks.reject(&:card).map { |task| home_row(place, task) } }
          bin = @page.sheet.walk.find { |place| place.kind == :bin }
          bin ? [*own, ["#{bin.name}: empty it", "at #{@policies['bin_limit_percent']} %"]] : own
        end

        def home_row(place, task)
          ["#{place.name}: #{task.action}", every(task), place.care_for(task.action)]
        end

        # Whichever comes first: who uses it daily goes by the hours.
        def every(task)
          months, hours = %i[months hours].map { |kind| task.clocks.find { |clock| clock.kind == kind }&.limit }
          stretches = [months && (months == 1 ? "month" : "#{months} months"), hours && "#{hours} h of use"].compact
          "every #{stretches.join(' or ')}" if stretches.any?
        end

        # By month, as a card says it; nothing that was just left.
        def coming
          ahead = @page.dues.select { |due| due.due_on && due.may_card && due.due_on > @today }
          ahead.map do |due|
            ["#{due.position_name}: #{action(due)}", due.due_on.strftime("%B %Y"),
             (customers_words.why(due.why.first) if due.why.any?)]
          end
        end

        # As cards word it for them.
        def customers_words
          @customers_words ||= Services::Words.new.of(@page.customer.language)
        end

        def action(due)
          Core::Clocks::Due.told(due.action, due.deciding).sub("inspect", "have it looked at")
        end

        def back
          spares = @page.items.flat_map { |item| item.goes_back.to_a }.map { |name| [name.capitalize, "yours"] }
          accessories + spares + from_boxes
        end

        def accessories
          going = @page.accessories.map { |accessory| [accessory.name, @page.goes_home(accessory)] }
          going.select { |_, pieces| pieces.positive? }.map { |name, pieces| [name, "#{pieces} ×"] }
        end

        def from_boxes
          Services::Boxes.left(@page.sheet, @page.items).map do |part, kind, pieces|
            ["#{part.name}: #{kind.tr('_', ' ')}", "#{pieces} ×"]
          end
        end
      end
    end
  end
end
