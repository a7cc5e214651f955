# frozen_string_literal: true

module UprightBench
  module Screens
    module Drafts
      # A draft as its page shows it: the sheet drawn, one place in hand, and what was typed and refused.
      class View
        HEAD = "head"
        STEP = "step."

        attr_reader :draft, :problems, :unkept, :note

        # @param at [String] a position's key, STEP and a step's key, or "head"; the head when there is no such place
        # @param problems [Array<Core::Sheets::Problem>] rules that the last change would have broken
        # @param typed [Hash{String=>Hash}, nil] which form, and its parameters
        # @param said [Array<String>] what else went wrong with it
        # @param unkept [String, nil] why it was not kept as a version
        def initialize(draft, at:, problems: [], typed: nil, said: [], unkept: nil, note: "")
          @draft = draft
          @at = at
          @problems = problems
          @typed = typed || {}
          @said = said
          @unkept = unkept
          @note = note
        end

        def data
          @data ||= @draft.data
        end

        def core
          @core ||= @draft.to_core
        end

        # @return [String] a position's key, STEP and a step's key, or HEAD
        def at
          core.position?(@at) || step_asked ? @at : HEAD
        end

        # @return [String] which form is in hand: "head", "position" or "step"
        def form
          return "step" if step_asked

          at == HEAD ? HEAD : "position"
        end

        # @return [String] as `at` names a step
        def at_step(key)
          "#{STEP}#{key}"
        end

        # @return [Hash{String=>Object}] the step in hand, as typed or as it stands
        def step
          @step ||= @typed.fetch("step") { StepFields.write(stored_step) }.merge("key" => step_asked)
        end

        # @return [Hash{String=>Object}]
        def form_in_hand
          form == "step" ? step : position
        end

        # @return [Hash{String=>String}] key => name of the other steps
        def other_steps
          core.steps.reject { |step| step.key == step_asked }.to_h { |step| [step.key, step.name] }
        end

        # @return [Hash{String=>String}] key => name of all places, along the air
        def places
          core.walk.to_h { |place| [place.key, place.name] }
        end

        # @return [Hash{String=>Object}] the head, as typed or as it stands
        def head
          @typed.fetch("head") do
            data.merge("tests" => Array(data["tests"]).join("\n"),
              "accessories" => (data["accessories"] || []).join(", "),
              "kits" => HeadFields.write_kits(data["kits"]), "rough" => (data["rough"] ? "1" : nil),
              "runs_without_filter" => HeadFields::MAY[data["runs_without_filter"]])
          end
        end

        # @return [Hash{String=>Object}] the position in hand, as typed or as it stands
        def position
          @position ||= @typed.fetch("position") { stored }
        end

        # @return [Array<Hash>] rows of a small table, with one more to be filled in
        def rows(name)
          return [*Array(step["fasteners"]), {}] if name == "fasteners" && !@typed["step"]

          typed = @typed[form] and return Typed.rows(typed[name]) + [{}]
          stored_rows(name) + [{}]
        end

        # @return [Array<String>] what is wrong with a field of the form in hand
        def errors(field)
          depth = at == HEAD ? 0 : 2
          @problems.select { |problem| problem.path[depth] == field }.map(&:words).uniq
        end

        # @return [Array<String>] all that is wrong, for the top of the page
        def everything_wrong
          @said + @problems.map(&:to_s).uniq
        end

        # @return [Hash{String=>String}] key => name of the other places, along the air
        def others
          core.walk.reject { |place| place.key == at }.to_h { |place| [place.key, place.name] }
        end

        # @return [Hash{String=>String}] measure => words, of the kind of part in hand
        def measures
          English::Kinds.measures(position["kind"].to_s.to_sym, given_measures)
        end

        # @return [Hash{String=>String}] words of an action's own, of the place in hand, as typed or stored
        def care_of
          position["care_of"].is_a?(Hash) ? position["care_of"] : {}
        end

        # @return [Hash{String=>Object}] the measures of the place in hand, as typed or stored
        def given_measures
          position["measures"].is_a?(Hash) ? position["measures"] : {}
        end

        # @return [Hash{String=>Object}] the readings of a new machine, as typed or stored
        def given_ratings
          head["rated"].is_a?(Hash) ? head["rated"] : {}
        end

        # @return [Array<String>] what this draft changes in the version that it was begun on
        def changes
          base ? Core::Sheets::Changes.new(base.data, data).call : []
        end

        # @return [Models::SheetVersion, nil] one that came in since the draft was begun
        def newer
          return if base.nil? || @draft.sheet.current_version_id == base.id

          @newer ||= @draft.sheet.current_version
        end

        # @return [Array<String>]
        def newer_changes
          Core::Sheets::Changes.new(base.data, newer.data).call
        end

        # @return [Models::SheetVersion, nil] nil for a model that is not on file yet
        def base
          @base ||= @draft.base
        end

        private

        # @return [String, nil] the key of the step in hand
        def step_asked
          key = @at.delete_prefix(STEP) if @at.start_with?(STEP)
          key if key && core.step?(key)
        end

        def stored_step
          data["steps"].find { |step| step["key"] == step_asked }
        end

        def stored
          row = data["positions"].find { |position| position["key"] == at }
          row.merge(PositionFields::FLAGS.to_h { |flag| [flag, row[flag] ? "1" : nil] })
        end

        def stored_rows(name)
          case name
          when "clocks" then ClockFields.write(position["tasks"])
          when "attributes" then PositionFields.attribute_rows(position["attributes"])
          else position[name] || []
          end
        end
      end
    end
  end
end
