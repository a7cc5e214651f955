# frozen_string_literal: true

module UprightBench
  module Screens
    # The suppliers, each a line that can be edited in place.
    module Suppliers
      def self.registered(app)
        app.helpers Helpers

        app.get("/shelf/suppliers") { suppliers_page(SupplierForm.blank) }

        app.post "/shelf/suppliers", may: :orders do
          form = SupplierForm.new(params)
          next redirect("/shelf/suppliers", 303) if keep_supplier(form)

          status 422
          suppliers_page(form)
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        def suppliers_page(form)
          @title = "Suppliers"
          erb :"suppliers/page", locals: { suppliers: Queries::SuppliersOnFile.call, form: form }
        end

        # What stands in a supplier's fields: what was typed there and could not be saved, else what is on file.
        # @param id [Integer, nil] nil for a new one
        # @return [SupplierForm]
        def supplier_form(form, id, on_file = {})
          form.value(:id).to_s == id.to_s ? form : SupplierForm.blank(on_file.transform_keys(&:to_s))
        end

        def supplier_error(form, name, at)
          %( aria-invalid="true" aria-describedby="#{name}-#{at}-error") if form.errors_at(name).any?
        end

        def keep_supplier(form)
          return unless form.ok?

          Services::KeepSupplier.call(form.values[:id], **form.values.slice(:name, :email, :lead_days), by: person,
            at: now)
        rescue Services::Invalid => e
          form.add(e.errors)
          nil
        end
      end
    end
  end
end
