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
        end

        # @return [Hash{Symbol=>Array}] as Papers::HandOverSlip takes it
        def parts
          return { found: found, done: done, back: back } if @page.job.closed_up_at.nil?

          { done: done, left: left_work + left_dues, home: home, next: coming, back: back }
        end

        # @return [Array<String>]
        def about
          serial = @page.machine.serial_number
          [@page.customer.name, @page.sheet.title, ("Serial no. #{serial}" if serial)].compact
        end

        private

        def name_of(position)
          @page.sheet.position(position).name
        end

        # For whoever looks at it next: the maker, or a competent person.
        def found
          bad = @page.findings.values.reject { |finding| finding.verdict == "leave" }
          bad.map { |finding| [name_of(finding.position), finding.verdict, finding.reason] }
        end

        def done
          @page.items.select { |item| item.state == "done" }.map do |item|
            ["#{name_of(item.position)}: #{PageWords::DONE.fetch(item.action)}", item.part&.number]
          end
        end

        def left_work
          @page.items.select { |item| item.state == "left" }.map do |item|
            [name_of(item.position), "as found", why_left(item)]
          end
        end

        # What somebody here marked over the rule is a matter of the shop's own.
        # @return [String, nil]
        def why_left(item)
          finding = @page.findings[item.position]
          item.reason unless finding && finding.why.figures.key?(:rule)
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
          months = task.clocks.find { |clock| clock.kind == :months }
          every = months && (months.limit == 1 ? "every month" : "every #{months.limit} months")
          ["#{place.name}: #{task.action}", every, place.care]
        end

        # By month, as a card says it; nothing that was just left.
        def coming
          ahead = @page.dues.select { |due| due.due_on && due.may_card && due.due_on > @today }
          ahead.map { |due| ["#{due.position_name}: #{action(due)}", due.due_on.strftime("%B %Y")] }
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
