# frozen_string_literal: true

# Parts that are sold without a job, machines that are sold new, where a finished machine stands, and the rule of the
# place for what nobody fetches.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE stock_moves ADD COLUMN bill_id bigint REFERENCES bills;
      ALTER TABLE stock_moves DROP CONSTRAINT stock_moves_kind,
        ADD CONSTRAINT stock_moves_kind CHECK (kind IN ('received', 'used', 'returned', 'counted', 'sold'));
      CREATE INDEX stock_moves_bill ON stock_moves (bill_id) WHERE bill_id IS NOT NULL;
      ALTER TABLE bills ADD COLUMN machine_id bigint REFERENCES machines;
      ALTER TABLE shops ADD COLUMN storage_rule text CONSTRAINT shops_storage_rule_length CHECK (length(storage_rule) BETWEEN 1 AND 500);
      ALTER TABLE jobs ADD COLUMN stands_at text CONSTRAINT jobs_stands_at_length CHECK (length(stands_at) BETWEEN 1 AND 40);
      COMMENT ON COLUMN jobs.stands_at IS 'Where the finished machine waits to be fetched.';
    SQL
  end

  down do
    run "ALTER TABLE stock_moves DROP COLUMN bill_id; ALTER TABLE bills DROP COLUMN machine_id; " \
        "ALTER TABLE shops DROP COLUMN storage_rule; ALTER TABLE jobs DROP COLUMN stands_at"
  end
end
