# frozen_string_literal: true

module UprightBench
  module Screens
    # Parts put on file and changed, one at a time.
    module PartBook
      def self.registered(app)
        app.helpers Helpers
        app.get("/shelf/new") { part_form_page(Shelf::PartForm.blank("kind" => "filter", "pack_pieces" => "1")) }
        app.post("/shelf/parts") { keep_part(Shelf::PartForm.new(params)) }

        app.get "/shelf/:id/change" do
          part = Services::Lookup.one(:part, id_of(params["id"]))
          part_form_page(Shelf::PartForm.blank(Shelf::PartForm.typed_from(part)), part)
        end

        app.post "/shelf/:id/change" do
          part = Services::Lookup.one(:part, id_of(params["id"]))
          keep_part(Shelf::PartForm.new({ **params, "number" => part.number }), part)
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        def part_form_page(form, part = nil)
          allow!(:parts)
          @title = part ? "Change #{part.name}" : "New part"
          status 422 if form.errors.any?
          erb :"shelf/part_form", locals: { form: form, part: part, supplier_names: Queries::SupplierNames.call }
        end

        def keep_part(form, part = nil)
          allow!(:parts)
          return part_form_page(form, part) unless form.ok?

          kept = Services::KeepPart.call(form.number, form.fields, measures: form.measures, part: part, by: person,
            at: now)
          say part ? "#{kept.name} is changed." : "#{kept.name} is on file."
          redirect "/shelf/#{kept.id}", 303
        rescue Services::Invalid => e
          form.add(e.errors)
          part_form_page(form, part)
        end

        # @return [Hash{String=>String}] those of places, and the part's own if it is another
        def part_kinds(form)
          typed = form.value(:kind)
          [*Shelf::PartForm::KINDS, (typed if typed.is_a?(String) && !typed.empty?)].compact.uniq.sort
            .to_h { |kind| [kind, kind.tr("_", " ")] }
        end

        # @return [Hash{String=>String}]
        def filter_classes
          { "" => "none" }.merge(Core::Fit::FilterClass::PERCENT.keys.to_h { |key| [key, key] })
        end
      end
    end
  end
end
