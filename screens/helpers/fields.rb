# frozen_string_literal: true

module UprightBench
  module Screens
    module Helpers
      # Form fields with their label, what was typed, and what is wrong with it, tied together for those who listen. A
      # password is never sent back.
      module Fields
        # @param form [Form]
        # @param path [Array<Symbol>] one field, or a group and a field
        # @param called [String] what a complaint calls it, where the label has a unit behind it
        # @param more [Hash] attributes of the input
        def field(form, *path, label:, called: label, as: :input, hint: nil, rows: 2, **more)
          partial :_field,
            id: path.join("-"), name: name_of(path), label: label, called: called, as: as, rows: rows, hint: hint,
            value: (form.value(*path) unless more[:type] == "password"),
            errors: form.errors_at(*path), more: attributes(more)
        end

        # @param choices [Hash{String=>String}, Options] value => words
        def choice(form, *path, label:, choices:, hint: nil, **more)
          partial :_choice,
            id: path.join("-"), name: name_of(path), label: label, options: Options.of(choices), hint: hint,
            value: form.value(*path).to_s, errors: form.errors_at(*path), more: attributes(more)
        end

        # Street, town, region and postcode, as AddressFields has them.
        def address_fields(form, *group, **more)
          AddressFields::ALL.map do |name, (label, most)|
            field(form, *group, name, label: label, maxlength: most, **more)
          end.join
        end

        # @param none [String, nil] what stands for none of them
        # @return [Options]
        def country_options(none = nil)
          Options.countries(none)
        end

        # @return [Options]
        def time_zone_options
          Options.time_zones
        end

        def tick(form, *path, label:, value: "1", hint: nil)
          partial :_tick,
            id: (path + [value]).join("-"), name: name_of(path), label: label, value: value, hint: hint,
            ticked: Array(form.value(*path)).include?(value), errors: form.errors_at(*path)
        end

        # A model is found by typing: its id goes with the form, and beside it what was typed, as sheet_title.
        # @param path [Array<Symbol>] of the id
        # @param chosen [String] attributes, as HTML: what happens when a model was chosen
        def sheet_picker(form, *path, label:, chosen: "")
          partial :"sheets/_picker",
            id: path.join("-"), name: name_of(path), value: form.value(*path), title: form.value(:sheet_title),
            label: label, chosen: chosen,
            errors: form.errors_at(*path), more: described_error(form, *path)
        end

        # @return [String, nil] attributes of a field that is wrong, tied to what is said about it
        def described_error(form, *path)
          %( aria-invalid="true" aria-describedby="#{path.join('-')}-error") if form.errors_at(*path).any?
        end

        # @return [String] attributes that tie a field to its hint and to what is wrong with it
        def described(id, hint, errors)
          names = [("#{id}-hint" if hint), ("#{id}-error" if errors.any?)].compact
          "#{' aria-invalid="true"' if errors.any?}#{%( aria-describedby="#{names.join(' ')}") if names.any?}"
        end

        def form_errors(form)
          messages = form.errors_at(:base)
          return "" if messages.empty?

          %(<p class="slip slip-stop" role="alert">#{::Rack::Utils.escape_html(messages.join(' '))}</p>)
        end

        private

        def name_of(path)
          path.first.to_s + path.drop(1).map { |part| "[#{part}]" }.join
        end

        def attributes(more)
          more.compact.map do |key, value|
            value == true ? key.to_s : %(#{key.to_s.tr('_', '-')}="#{::Rack::Utils.escape_html(value.to_s)}")
          end.join(" ")
        end
      end
    end
  end
end
