# frozen_string_literal: true

module UprightBench
  module Screens
    module LookOver
      # A field of a row as its partial draws it: what may be recorded, what is, and what is wrong with what was typed.
      class RowField
        attr_reader :name, :value

        # @param row [Row]
        # @param name [Symbol]
        # @param field [Core::Findings::Field]
        # @param value [Object] as typed
        # @param unit [Symbol] how the shop writes lengths
        def initialize(row, name, field, value, unit:)
          @row = row
          @name = name
          @field = field
          @value = value
          @unit = unit
        end

        %i[type options].each { |part| define_method(part) { @field.public_send(part) } }

        def label
          English::Fields.label(@row.place.kind, @name)
        end

        # @return [Hash{Object=>String}] words of some of its steps
        def words_of
          English::Fields.steps(@row.place.kind, @name)
        end

        def id
          "#{@row.key}-#{@name}"
        end

        def unit
          @field.unit_words(@unit)
        end

        # Lengths may be typed with their unit.
        def inputmode
          @field.length? ? "text" : "decimal"
        end

        def errors
          @row.unsaved ? @row.unsaved.errors_at(@name) : []
        end

        # @return [String, nil] the number that was probably meant
        def meant
          @row.unsaved&.meant&.fetch(@name, nil)
        end

        def step_id(step)
          "#{id}-#{step.to_s.tr(' ', '-')}"
        end

        def step_css(step)
          @name == :grey ? "step-choice grey-chip grey-chip-#{step}" : "step-choice"
        end

        def checked(step)
          " checked" if @value.to_s == step.to_s
        end

        def ticked
          " checked" if ["true", true].include?(@value)
        end

        def disabled
          " disabled" unless @row.open?
        end

        def described
          %( aria-invalid="true" aria-describedby="#{id}-error") if errors.any?
        end
      end
    end
  end
end
