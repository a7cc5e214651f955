# frozen_string_literal: true

module UprightBench
  module Core
    module Strip
      # Which steps open some places of a sheet, with the least that has to be opened.
      #
      # Where several steps open a place, one is enough; a step needs all those before it. The choice is searched
      # through, the cheapest way first, and left as soon as it costs more than the best known (branch and bound). What
      # costs most is what goes beyond the owner's handbook, then minutes, then what could be lost.
      class Ways
        SEARCHED = 20_000 # choices tried; beyond them the best of those found is taken

        # @param sheet [Sheets::Sheet]
        def initialize(sheet)
          @sheet = sheet
          @order = sheet.steps.each_with_index.to_h { |step, index| [step.key, index] }
          @closures = {}
        end

        # @param places [Array<String>] keys of positions
        # @param done [Array<String>] keys of steps that are done anyway, and cost nothing more
        # @return [Array<Sheets::Step>] each once, those done among them, in the order of the sheet
        # @raise [KeyError] for a place that the sheet does not have
        def to(places, done: [])
          wanted = places.map { |key| options(key) }.reject(&:empty?).uniq
          forced, open = wanted.partition { |ways| ways.size == 1 }
          @best = nil
          @tried = 0
          search([*done.map { |key| with_before(key) }, *forced.flatten(1)].reduce([], :|), open)
          @best.sort_by { |key| @order.fetch(key) }.map { |key| @sheet.step(key) }
        end

        # @param key [String] of a step
        # @return [Array<String>] the step, and all those that come before it
        def with_before(key)
          @closures[key] ||= [key, *@sheet.before(key)]
        end

        # @param keys [Array<String>] of steps
        # @return [Array] what compares as they cost
        def cost(keys)
          steps = keys.map { |key| @sheet.step(key) }
          [steps.count(&:beyond_handbook), steps.sum(&:minutes_to_open), steps.sum { |step| step.loose.sum(&:count) },
           steps.size, keys.map { |key| @order.fetch(key) }.sort]
        end

        private

        # @return [Array<Array<String>>] ways to a place, each all its steps
        def options(place)
          @sheet.position(place)
          @sheet.openers(place).map { |step| with_before(step.key) }
        end

        def search(chosen, left)
          return if hopeless?(chosen)

          left = left.reject { |ways| ways.any? { |way| (way - chosen).empty? } }
          return @best = chosen if left.empty?

          left.first.map { |way| chosen | way }.sort_by { |more| cost(more) }
            .each { |more| search(more, left.drop(1)) }
        end

        def hopeless?(chosen)
          @tried += 1
          @best && (@tried > SEARCHED || (cost(chosen) <=> cost(@best)) >= 0)
        end
      end
    end
  end
end
