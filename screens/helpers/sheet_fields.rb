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
          erb :_field, layout: false, locals: { id: name.tr("[]", "--").chomp("-"), name: name, label: label, as: :input, rows: 2, hint: nil, value: written(values[key]),
                                                errors: view.errors(error), more: 'autocomplete="off" maxlength="1000"' }
        end

        def sheet_area(view, values, key, label)
          erb :_field, layout: false, locals: { id: key, name: key, label: label, as: :area, rows: 2, hint: nil, value: written(values[key]), errors: view.errors(key),
                                                more: 'maxlength="1000"' }
        end

        # @param choices [Array, Hash] values, or values with their words
        def sheet_choice(view, values, key, label, choices)
          words = choices.is_a?(Hash) ? choices : choices.to_h { |one| [one.to_s, one.to_s.tr("_", " ")] }
          erb :_choice, layout: false, locals: { id: key, label: label, choices: words, value: values[key].to_s, errors: view.errors(key) }
        end

        private

        def written(value)
          value.is_a?(Float) ? format("%g", value) : value
        end
      end
    end
  end
end
