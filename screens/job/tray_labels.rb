# frozen_string_literal: true

module UprightBench
  module Screens
    module Job
      # What the labels of a job's trays say: one for every part that comes off for the work that is planned, or only to
      # reach it, and for what goes back to the customer.
      class TrayLabels
        # @param page [Queries::JobPage]
        def initialize(page)
          @page = page
          @items = page.items.reject { |item| item.state == "left" }
        end

        # @return [Papers::TrayLabel]
        def paper
          Papers::TrayLabel.new(number: @page.job.number, machine: "#{@page.sheet.title}, #{@page.customer.name}",
            came_with: came_with, parts: worked_at + only_off + going_back)
        end

        private

        def came_with
          Core::Intake::Accessories.words(@page.accessories.to_h { |accessory| [accessory.name, accessory.pieces_in] })
        end

        def worked_at
          @items.map do |item|
            slot = item.on_rack.lies if item.on_rack
            { name: @page.sheet.position(item.position).name, note: [item.action, slot].compact.join(", ") }
          end
        end

        def only_off
          @page.strip.tray.plan.only_off.map { |place| { name: place.name, note: "only taken off" } }
        end

        def going_back
          @items.flat_map { |item| item.goes_back.to_a }
            .map { |name| { name: name.capitalize, note: "goes back to #{@page.customer.name}" } }
        end
      end
    end
  end
end
