# frozen_string_literal: true

module UprightBench
  module Core
    module Strip
      # Where the opening of a machine stands: what comes next, out or in. Only steps that are counted are followed;
      # what is lifted off by hand needs no word.
      class Tray
        # @param sheet [Sheets::Sheet]
        # @param to_do [Array<String>] places that are still to be worked at, in order of work
        # @param done [Array<String>] places that were worked at
        # @param open [Array<String>] keys of steps that are open
        def initialize(sheet, to_do:, done:, open:)
          @sheet = sheet
          @to_do = to_do
          @done = done
          @open = open
        end

        # @return [Plan] of all places, and of what is open besides
        def plan
          @plan ||= Plan.new(@sheet, @to_do + @done, open: @open)
        end

        # @return [Sheets::Step, nil] what is to be opened next for what is still to do
        def next_out
          Plan.new(@sheet, @to_do, open: @open).opening.map(&:step)
            .find { |step| step.counted? && !@open.include?(step.key) }
        end

        # @return [Sheets::Step, nil] what is to be closed next, once nothing is to do
        def next_in
          plan.refit.filter_map(&:step).find { |step| @open.include?(step.key) }
        end

        # @param place [String]
        # @return [Array<Sheets::Step>] counted steps that come before it and are not open
        def closed_before(place)
          plan.way_to(place).map { |key| @sheet.step(key) }.select { |step| step.counted? && !@open.include?(step.key) }
        end

        # @return [Array<Sheets::Step>] counted steps that must be open before this one
        def missing_before(step)
          @sheet.before(step.key).map { |key| @sheet.step(key) }
            .select { |other| other.counted? && !@open.include?(other.key) }
        end

        # @return [Array<Sheets::Step>] open steps that were opened through this one: they are closed first
        def open_behind(step)
          @open.select { |key| @sheet.before(key).include?(step.key) }.map { |key| @sheet.step(key) }
        end

        # @return [Array<String>] places whose part goes in before this step is closed
        def places_behind(step)
          through = @sheet.steps.select { |other| other == step || @sheet.before(other.key).include?(step.key) }
          through.flat_map { |other| other.opens + other.takes_off }.uniq
        end

        # @return [Array<Sheets::Step>] counted steps on the way, and what else is open
        def followed
          plan.opening.map(&:step).select(&:counted?)
        end
      end
    end
  end
end
