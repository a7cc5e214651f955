# frozen_string_literal: true

module UprightBench
  module Services
    # Puts a supplier on file, or changes one.
    class KeepSupplier
      # @param id [Integer, nil] nil for a new one
      # @return [Models::Supplier]
      # @raise [Invalid] when another has the name
      def self.call(id, by:, at:, **fields)
        Permissions.check!(:orders, by)
        Constraint.told("suppliers_name" => -> { raise Invalid, { name: ["belongs to another supplier"] } }) do
          DB.transaction(savepoint: true) { keep(id, by, at, fields) }
        end
      end

      def self.keep(id, by, at, fields)
        supplier = id ? Lookup.one(:supplier, id) : Models::Supplier.new
        supplier.set(fields)
        supplier.save
        LearnLeadTimes.call(supplier, []) if supplier.learned_lead_days
        History.note(id ? "changed supplier" : "put supplier on file", supplier, by: by, at: at, data: fields)
        supplier
      end
      private_class_method :keep
    end
  end
end
