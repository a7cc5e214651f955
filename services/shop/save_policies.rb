# frozen_string_literal: true

module UprightBench
  module Services
    # The owner changes the shop rules. Checked by building what they are for.
    class SavePolicies
      # @param values [Hash{String=>Object}] as in Policies
      # @raise [Forbidden]
      def self.call(values, by:, at:)
        Permissions.check!(:settings, by)
        Policies.new(Models::Policy.select_hash(:key, :value).merge(values)).schedule
        DB.transaction do
          refuse_taken_classes(values)
          before = Policies.now.household_factors
          values.each { |key, value| keep(key, value, by, at) }
          History.note("changed policies", Models::Shop.the, by: by, at: at, data: values)
          recompute(before, by, at)
        end
      end

      # A part must not be taxed otherwise because its class went away.
      def self.refuse_taken_classes(values)
        return unless values.key?("tax_classes")

        kept = values["tax_classes"].map { |row| row["key"] }
        taken = Policies.now.tax_classes.select do |known|
          !kept.include?(known.key) && Models::Part.where(tax_class: known.key).any?
        end
        return if taken.empty?

        names = taken.map(&:name).join(", ")
        raise Invalid, { tax_classes: ["Parts are taxed as #{names}: change those parts first."] }
      end
      private_class_method :refuse_taken_classes

      # The dates of households whose factor is another one now.
      def self.recompute(before, by, at)
        changed = Policies.now.household_factors.reject { |trait, factor| before[trait] == factor }
        return if changed.empty?

        RecomputeDues.ask(why: "how much a household shortens was changed", by: by, at: at, traits: changed.keys)
      end
      private_class_method :recompute

      def self.keep(key, value, by, at)
        row = { value: Sequel.pg_jsonb_wrap(value), changed_by: by.id, changed_at: at }
        Models::Policy.dataset.insert_conflict(target: :key, update: row).insert(key: key, **row)
      end
      private_class_method :keep
    end
  end
end
