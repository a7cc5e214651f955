# frozen_string_literal: true

module UprightBench
  module Screens
    module Helpers
      # Fields of a sheet in editing: a value of its content, and the rules it breaks, tied together.
      module SheetFields
        # @param view [Drafts::View]
        # @param values [Hash{String=>Object}]
        # @param error [String] the field whose problems stand here
        def sheet_field(view, values, key, label, name: key, error: key)
          partial :_field,
            id: name.tr("[]", "--").chomp("-"), name: name, label: label, called: label, as: :input, rows: 2, hint: nil,
            value: written(values[key]), errors: view.errors(error), more: 'autocomplete="off" maxlength="1000"'
        end

        def sheet_area(view, values, key, label)
          partial :_field,
            id: key, name: key, label: label, called: label, as: :area, rows: 2, hint: nil, value: written(values[key]),
            errors: view.errors(key), more: 'maxlength="1000"'
        end

        # @param choices [Array, Hash] values, or values with their words
        def sheet_choice(view, values, key, label, choices)
          words = choices.is_a?(Hash) ? choices : choices.to_h { |choice| [choice.to_s, choice.to_s.tr("_", " ")] }
          partial :_choice,
            id: key, name: key, label: label, options: Options.of(words), value: values[key].to_s, hint: nil,
            errors: view.errors(key), more: ""
        end

        def sheet_tick(ticked, name, label)
          %(<label class="tick-row"><input type="checkbox" id="#{name}" name="#{name}" value="1"#{' checked' if
            ticked}> <span>#{h(label)}</span></label>)
        end

        # A field of a row of fields, as a clock or a fastener has several.
        # @param list [String] as "clocks"
        # @param at [Integer] which row
        # @param css [String, nil] beside what every field has
        def row_field(list, at, name, label, row, css: nil, **more)
          %(<input class="#{['form-control', css].compact.join(' ')}" id="#{row_id(list, at,
            name)}" name="#{list}[#{at}][#{name}]" ) +
            %(value="#{h(row[name])}" aria-label="#{h(label)}" #{attributes(more)}>)
        end

        # @param choices [Hash{String=>Object}] value => words
        def row_select(list, at, name, label, choices, row)
          options = choices.map do |value, words|
            %(<option value="#{h(value)}"#{' selected' if row[name].to_s == value.to_s}>#{h(words)}</option>)
          end
          %(<select class="form-select" id="#{row_id(list, at,
            name)}" name="#{list}[#{at}][#{name}]" aria-label="#{h(label)}">#{options.join}</select>)
        end

        private

        def row_id(list, at, name)
          "#{list.chomp('s')}-#{at}-#{name.delete_suffix('_mm').delete_prefix('each_')}"
        end

        def written(value)
          value.is_a?(Float) ? format("%g", value) : value
        end
      end
    end
  end
end
