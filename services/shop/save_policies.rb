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
          before = Policies.now.household_factors
          values.each { |key, value| keep(key, value, by, at) }
          History.note("changed policies", Models::Shop.the, by: by, at: at, data: values)
          changed = before.to_a - Policies.now.household_factors.to_a
          if changed.any?
            RecomputeDues.ask(why: "how much a household shortens was changed", by: by, at: at,
              traits: changed.map(&:first))
          end
        end
      end

      def self.keep(key, value, by, at)
        row = { value: Sequel.pg_jsonb_wrap(value), changed_by: by.id, changed_at: at }
        Models::Policy.dataset.insert_conflict(target: :key, update: row).insert(key: key, **row)
      end
      private_class_method :keep
    end
  end
end
