# frozen_string_literal: true

# What is owed for a job, or for a bill without one, kept as bills and payments are written: a shop of ten years would
# add up a million rows to see what three hundred customers owe.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE balances (
        job_id bigint UNIQUE REFERENCES jobs,
        bill_id bigint UNIQUE REFERENCES bills,
        cents bigint NOT NULL,
        last_bill_id bigint REFERENCES bills,
        CONSTRAINT balances_are_of_one CHECK (num_nonnulls(job_id, bill_id) = 1));
      CREATE INDEX balances_open ON balances (last_bill_id) WHERE cents <> 0;
      COMMENT ON TABLE balances IS 'What is owed for a job, or for a bill without one: billed less paid. Kept by triggers.';
      COMMENT ON COLUMN balances.cents IS 'Negative where something is to be given back, or was paid before the bill.';
      COMMENT ON COLUMN balances.last_bill_id IS 'The newest bill or credit note of it; null while there are only deposits.';

      CREATE FUNCTION keep_balance(job bigint, bill bigint, more bigint, newest bigint) RETURNS void
        LANGUAGE sql SET search_path = public, pg_temp AS $$
          INSERT INTO balances AS kept (job_id, bill_id, cents, last_bill_id)
            SELECT job, NULL, more, newest WHERE job IS NOT NULL
            ON CONFLICT (job_id) DO UPDATE SET cents = kept.cents + EXCLUDED.cents,
              last_bill_id = coalesce(EXCLUDED.last_bill_id, kept.last_bill_id);
          INSERT INTO balances AS kept (job_id, bill_id, cents, last_bill_id)
            SELECT NULL, bill, more, newest WHERE job IS NULL
            ON CONFLICT (bill_id) DO UPDATE SET cents = kept.cents + EXCLUDED.cents,
              last_bill_id = coalesce(EXCLUDED.last_bill_id, kept.last_bill_id);
        $$;
      REVOKE ALL ON FUNCTION keep_balance(bigint, bigint, bigint, bigint) FROM PUBLIC;
      CREATE FUNCTION bill_changes_balance() RETURNS trigger
        LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
        BEGIN
          PERFORM keep_balance(NEW.job_id, coalesce(NEW.credits_id, NEW.id), NEW.total_cents, NEW.id);
          RETURN NULL;
        END $$;
      CREATE FUNCTION payment_changes_balance() RETURNS trigger
        LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
        BEGIN
          PERFORM keep_balance(NEW.job_id, NEW.bill_id, -NEW.cents, NULL);
          RETURN NULL;
        END $$;
      CREATE TRIGGER bills_change_balance AFTER INSERT ON bills FOR EACH ROW EXECUTE FUNCTION bill_changes_balance();
      CREATE TRIGGER payments_change_balance AFTER INSERT ON payments FOR EACH ROW EXECUTE FUNCTION payment_changes_balance();

      INSERT INTO balances (job_id, bill_id, cents, last_bill_id)
        SELECT job_id, bill_id, sum(cents), max(id) FROM (
          SELECT job_id, CASE WHEN job_id IS NULL THEN coalesce(credits_id, id) END AS bill_id, total_cents::bigint AS cents, id FROM bills
          UNION ALL SELECT job_id, bill_id, -cents, NULL FROM payments) AS moves
        GROUP BY job_id, bill_id;
    SQL
  end

  down do
    run "DROP TRIGGER bills_change_balance ON bills; DROP TRIGGER payments_change_balance ON payments; " \
        "DROP FUNCTION bill_changes_balance(), payment_changes_balance(); " \
        "DROP FUNCTION keep_balance(bigint, bigint, bigint, bigint); DROP TABLE balances"
  end
end
