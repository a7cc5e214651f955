# frozen_string_literal: true

module UprightBench
  module Screens
    # Whom parts come from, and how long they say it takes.
    module Suppliers
      def self.registered(app)
        app.helpers Helpers
        app.get("/shelf/suppliers") { suppliers_page(SupplierForm.blank) }

        app.post "/shelf/suppliers" do
          form = SupplierForm.new(params)
          next redirect("/shelf/suppliers", 303) if keep_supplier(form)

          status 422
          suppliers_page(form)
        end
      end

      # Helpers of this screen's routes.
      module Helpers
        def suppliers_page(form)
          @title = "Suppliers"
          parts = Models::Part.exclude(supplier_id: nil).group_and_count(:supplier_id).as_hash(:supplier_id, :count)
          erb :"suppliers/page", locals: { suppliers: Models::Supplier.order(:name).all, parts: parts, form: form }
        end

        # @return [Models::Supplier, nil] nil when something is wrong, which the form then says
        def keep_supplier(form)
          Services::KeepSupplier.call(form.values[:id], **form.values.slice(:name, :email, :lead_days), by: person, at: now) if form.ok?
        rescue Services::Invalid => e
          form.add(e.errors)
          nil
        end
      end
    end
  end
end
