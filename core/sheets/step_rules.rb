# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # What must hold of the steps of a sheet: names that lead somewhere, nothing that waits for itself, nothing that
      # comes off before it can be reached.
      class StepRules
        include Repeated

        NAMES = %i[unique_steps steps_named places_named].freeze
        MEANINGS = %i[no_loop_in no_loop_back off_once off_when_reached].freeze

        def initialize(sheet)
          @sheet = sheet
        end

        # @return [Array<Problem>]
        def names
          NAMES.flat_map { |check| send(check) }
        end

        # @return [Array<Problem>] to be asked when all names lead somewhere
        def meanings
          found = no_loop_in
          found.any? ? found : (MEANINGS - [:no_loop_in]).flat_map { |check| send(check) }
        end

        private

        def say(words, step, field = nil)
          Problem.new(path: ["steps", @sheet.steps.index(step), field].compact, words: words)
        end

        def unique_steps
          repeated(@sheet.steps, &:key).map { |step| say("step #{step.key} stands twice", step) }
        end

        def steps_named
          keys = @sheet.steps.map(&:key)
          each_named(%i[after refit_before]) do |step, field, key|
            say("no step #{key}", step, field) unless keys.include?(key)
          end
        end

        def places_named
          each_named(%i[opens takes_off]) do |step, field, key|
            say("no position #{key}", step, field) unless @sheet.position?(key)
          end
        end

        def each_named(fields)
          @sheet.steps.flat_map do |step|
            fields.flat_map do |field|
              step.public_send(field).filter_map { |key| yield step, field.to_s, key }
            end
          end
        end

        # Of the way in.
        def no_loop_in
          looped = @sheet.steps.find { |step| @sheet.before(step.key).include?(step.key) }
          return [] unless looped

          round = @sheet.before(looped.key).select { |key| @sheet.before(key).include?(looped.key) }
          [say("the steps run in a loop: #{round.join(', ')} wait for each other", looped, "after")]
        end

        # Of the way back: once with each part by itself, once with what comes off in one step taken together.
        def no_loop_back
          places = @sheet.positions.map(&:key)
          [[], @sheet.steps.map(&:key)].each { |steps| RefitGraph.new(@sheet, steps: steps, places: places).call }
          []
        rescue RefitGraph::Loop => e
          kind, key = e.nodes.first
          path = kind == :step ? ["steps", @sheet.steps.index(@sheet.step(key))] : ["positions", index_of(key)]
          [Problem.new(path: path, words: "the refit order runs in a loop: #{e.message}")]
        end

        def index_of(place)
          @sheet.positions.index(@sheet.position(place))
        end

        def off_once
          taken = @sheet.steps.flat_map { |step| step.takes_off.map { |place| [place, step] } }
          repeated(taken, &:first).map { |place, step| say("#{place} comes off in two steps", step, "takes_off") }
        end

        def off_when_reached
          @sheet.steps.flat_map do |step|
            step.takes_off.reject { |place| reached?(place, step) }
              .map { |place| say("#{place} comes off before anything opens it", step, "takes_off") }
          end
        end

        def reached?(place, step)
          openers = @sheet.openers(place)
          openers.empty? || openers.any? { |other| other == step || @sheet.before(step.key).include?(other.key) }
        end
      end
    end
  end
end
