# frozen_string_literal: true

module UprightBench
  module Screens
    # Parts put on file and changed, one at a time.
    module PartBook
      def self.registered(app)
        app.helpers Helpers
        app.get("/shelf/new", may: :parts) { part_form_page(Shelf::PartForm.blank("kind" => "filter", "pack_pieces" => "1")) }
        app.get("/shelf/parts/asked") do
          form = Shelf::PartForm.blank(params)
          partial :"shelf/_asked", form: form, kind: kind_asked(form)
        end
        app.post("/shelf/parts", may: :parts) { keep_part(Shelf::PartForm.new(params)) }

        app.get "/shelf/:id/change", may: :parts do
          part = Services::Lookup.one(:part, id_of(params["id"]))
          part_form_page(Shelf::PartForm.blank(Shelf::PartForm.typed_from(part)), part)
        end

        app.post "/shelf/:id/change", may: :parts do
          part = Services::Lookup.one(:part, id_of(params["id"]))
          typed = may?(:see_prices) ? params : { **params, **Shelf::PartForm.typed_from(part).slice("price") }
          keep_part(Shelf::PartForm.new({ **typed, "number" => part.number }), part)
        end

        fits_routes(app)
      end

      def self.fits_routes(app)
        app.post("/shelf/fits", may: :parts) { add_fit(Shelf::FitForm.new(params)) }

        app.post "/shelf/fits/:id/end", may: :parts do
          rule = Services::Lookup.one(:fit_rule, id_of(params["id"]))
          Services::KeepFit.end(rule, by: person, at: now)
          say "It is listed there no longer."
          redirect "/shelf/#{rule.part_id}", 303
        end
      end
      private_class_method :fits_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        def part_form_page(form, part = nil)
          @title = part ? "Change #{part.name}" : "New part"
          status 422 if form.errors.any?
          erb :"shelf/part_form", locals: { form: form, part: part, supplier_names: Queries::SupplierNames.call }
        end

        def keep_part(form, part = nil)
          return part_form_page(form, part) unless form.ok?

          kept = Services::KeepPart.call(form.number, form.fields, measures: form.measures, beside: form.beside,
            part: part, by: person, at: now)
          say part ? "#{kept.name} is changed." : "#{kept.name} is on file."
          redirect "/shelf/#{kept.id}", 303
        rescue Services::Invalid => e
          form.add(e.errors)
          part_form_page(form, part)
        end

        # The place's page again, with what is wrong or with the part among the others.
        def add_fit(form)
          asked = Shelf::FitAsked.new({ "at" => params["position"] }, sheet_id: id_of(params["sheet_id"].to_s),
            today: today)
          raise Services::NotFound, "There is no such place." unless asked.place

          return fit_page_of(asked, form) unless form.ok? && listed(form, asked)

          redirect "/shelf/fit?sheet=#{asked.sheet_id}&at=#{asked.place.key}", 303
        end

        # @return [Boolean] false when the form says why not
        def listed(form, asked)
          part = Services::Lookup.part_scanned(form.values[:number])
          return form.add(number: ["is not on file"]) && false unless part

          Services::KeepFit.add(part, asked.sheet, asked.place, said: form.said,
            whole_family: form.values[:whole_family] || false, by: person, at: now)
          say "#{part.name} is listed here."
          true
        rescue Services::Invalid => e
          form.add(e.errors)
          false
        end

        # @param rule [Models::FitRule]
        # @return [String] as in "tried here, 27 Nov: sits a little tight"
        def said_to_fit_words(rule)
          return "" unless rule.said_by

          said = "#{Services::KeepFit::SAID_BY.fetch(rule.said_by)}, #{day(zone_date(rule.added_at))}"
          [said, rule.note].compact.join(": ")
        end

        # @return [Hash{String=>String}] those of places, and the part's own if it is another
        def part_kinds(form)
          typed = form.value(:kind)
          [*Shelf::PartForm::KINDS, (typed if typed.is_a?(String) && !typed.empty?)].compact.uniq.sort
            .to_h { |kind| [kind, kind.tr("_", " ")] }
        end

        # @return [String] whose sides and attributes are asked for
        def kind_asked(form)
          form.value(:kind).to_s[0, 40]
        end

        # @return [Hash{String=>Array}]
        def asked_attributes(kind)
          Core::Fit::AskedOfKind.attributes(kind, Queries::AttributesKnown.of(kind))
        end

        # @return [Hash{String=>String}] as typed => words
        def attribute_choices(values)
          { "" => "not said" }.merge(values.to_h do |value|
            Formats::NamedValues.written(value).then do |text|
              [text, text]
            end
          end)
        end

        # @return [String]
        def prices_hint
          "#{price_words.capitalize}."
        end

        # @return [Hash{String=>String}]
        def tax_classes
          { "" => "part" }.merge(policies.tax_classes.to_h { |known| [known.key, "#{known.name}, #{known.percent} %"] })
        end

        # @return [Hash{String=>String}]
        def filter_classes
          { "" => "none" }.merge(Core::Fit::FilterClass::PERCENT.keys.to_h { |key| [key, key] })
        end
      end
    end
  end
end
