# frozen_string_literal: true

# An estimate goes out by the outbox, as whatever else a customer is told about a job.
Sequel.migration do
  up do
    run "ALTER TABLE notices DROP CONSTRAINT notices_kind, " \
        "ADD CONSTRAINT notices_kind CHECK (kind IN ('ready', 'fetch', 'late', 'bill', 'estimate'))"
  end

  down do
    run "DELETE FROM notices WHERE kind = 'estimate'; ALTER TABLE notices DROP CONSTRAINT notices_kind, " \
        "ADD CONSTRAINT notices_kind CHECK (kind IN ('ready', 'fetch', 'late', 'bill'))"
  end
end
