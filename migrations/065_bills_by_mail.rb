# frozen_string_literal: true

# A bill goes out by mail, as any other thing that a customer is told.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE customers ADD COLUMN bills_by_mail boolean NOT NULL DEFAULT false;
      COMMENT ON COLUMN customers.bills_by_mail IS 'They agreed to get their bills by e-mail.';
      ALTER TABLE notices ALTER COLUMN job_id DROP NOT NULL, ADD COLUMN bill_id bigint REFERENCES bills,
        DROP CONSTRAINT notices_kind,
        ADD CONSTRAINT notices_kind CHECK (kind IN ('ready', 'fetch', 'late', 'bill')),
        ADD CONSTRAINT notices_of_one_thing CHECK (CASE WHEN kind = 'bill' THEN bill_id IS NOT NULL AND job_id IS NULL
          ELSE bill_id IS NULL AND job_id IS NOT NULL END);
      CREATE INDEX notices_bill ON notices (bill_id, id) WHERE bill_id IS NOT NULL;
      COMMENT ON TABLE notices IS 'What a customer was told about a job, or is to be told on the phone; or a bill that was mailed.';
    SQL
  end

  down do
    run "DELETE FROM notices WHERE kind = 'bill'; " \
        "ALTER TABLE notices DROP COLUMN bill_id, DROP CONSTRAINT notices_kind, " \
        "ALTER COLUMN job_id SET NOT NULL, ADD CONSTRAINT notices_kind CHECK (kind IN ('ready', 'fetch', 'late')); " \
        "ALTER TABLE customers DROP COLUMN bills_by_mail"
  end
end
