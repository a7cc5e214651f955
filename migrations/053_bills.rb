# frozen_string_literal: true

# Bills, what is paid of them, and the count of the drawer. A bill gets the next number as its row is written, under a
# lock that is held until the transaction ends: no number is ever left out, and none is used twice.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE shops ADD COLUMN tax_number text CONSTRAINT shops_tax_number_length CHECK (length(tax_number) <= 60);
      ALTER TABLE jobs ADD COLUMN look_fee_cents integer NOT NULL DEFAULT 0 CONSTRAINT jobs_look_fee CHECK (look_fee_cents >= 0);
      COMMENT ON COLUMN jobs.look_fee_cents IS 'Agreed at intake: charged for looking, where nothing is done.';

      CREATE TABLE bill_counter (
        id integer PRIMARY KEY DEFAULT 1 CONSTRAINT bill_counter_is_one CHECK (id = 1),
        last bigint NOT NULL DEFAULT 0);
      INSERT INTO bill_counter DEFAULT VALUES;
      COMMENT ON TABLE bill_counter IS 'The number of the last bill.';

      CREATE TABLE bills (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        number bigint NOT NULL CONSTRAINT bills_number UNIQUE,
        kind text NOT NULL CONSTRAINT bills_kind CHECK (kind IN ('bill', 'credit')),
        credits_id bigint REFERENCES bills CONSTRAINT bills_credited_once UNIQUE,
        job_id bigint REFERENCES jobs,
        customer_id bigint REFERENCES customers,
        billed_to jsonb NOT NULL CONSTRAINT bills_billed_to_list CHECK (jsonb_typeof(billed_to) = 'array'),
        shop jsonb NOT NULL,
        about jsonb NOT NULL CONSTRAINT bills_about_list CHECK (jsonb_typeof(about) = 'array'),
        lines jsonb NOT NULL CONSTRAINT bills_lines_list CHECK (jsonb_typeof(lines) = 'array'),
        taxes jsonb NOT NULL CONSTRAINT bills_taxes_list CHECK (jsonb_typeof(taxes) = 'array'),
        net_cents integer NOT NULL,
        tax_cents integer NOT NULL,
        total_cents integer NOT NULL,
        reason text CONSTRAINT bills_reason_length CHECK (length(reason) BETWEEN 1 AND 300),
        issued_on date NOT NULL,
        issued_at timestamptz NOT NULL,
        issued_by bigint NOT NULL REFERENCES people,
        request_key uuid CONSTRAINT bills_once UNIQUE,
        CONSTRAINT bills_add_up CHECK (total_cents = net_cents + tax_cents),
        CONSTRAINT bills_credit_takes_back CHECK ((kind = 'credit') = (credits_id IS NOT NULL)
          AND (kind = 'credit') = (reason IS NOT NULL) AND CASE kind WHEN 'bill' THEN total_cents >= 0 ELSE total_cents <= 0 END));
      CREATE INDEX bills_job ON bills (job_id);
      CREATE INDEX bills_customer ON bills (customer_id, id);
      CREATE INDEX bills_issued_on ON bills (issued_on);
      COMMENT ON TABLE bills IS 'What was charged, as it was printed, and the credit notes that take it back. Never changed.';
      CREATE FUNCTION number_bill() RETURNS trigger LANGUAGE plpgsql AS
        $$ BEGIN
          UPDATE bill_counter SET last = last + 1 RETURNING last INTO NEW.number;
          RETURN NEW;
        END $$;
      CREATE TRIGGER bills_are_numbered BEFORE INSERT ON bills FOR EACH ROW EXECUTE FUNCTION number_bill();
      CREATE TRIGGER bills_are_history BEFORE UPDATE OR DELETE ON bills FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();
      CREATE TRIGGER bills_are_not_emptied BEFORE TRUNCATE ON bills FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewriting();

      CREATE TABLE payments (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        bill_id bigint REFERENCES bills,
        job_id bigint REFERENCES jobs,
        way text NOT NULL CONSTRAINT payments_way CHECK (way IN ('cash', 'card', 'transfer')),
        cents integer NOT NULL CONSTRAINT payments_cents CHECK (cents <> 0),
        rounded_cents integer NOT NULL DEFAULT 0 CONSTRAINT payments_rounded CHECK (rounded_cents = 0 OR way = 'cash'),
        note text CONSTRAINT payments_note_length CHECK (length(note) BETWEEN 1 AND 300),
        paid_on date NOT NULL,
        taken_at timestamptz NOT NULL,
        taken_by bigint NOT NULL REFERENCES people,
        request_key uuid CONSTRAINT payments_once UNIQUE,
        CONSTRAINT payments_are_of_one CHECK (num_nonnulls(bill_id, job_id) = 1));
      CREATE INDEX payments_bill ON payments (bill_id) WHERE bill_id IS NOT NULL;
      CREATE INDEX payments_job ON payments (job_id) WHERE job_id IS NOT NULL;
      CREATE INDEX payments_paid_on ON payments (paid_on);
      COMMENT ON TABLE payments IS 'What was paid or given back: of a job, from the deposit on, or of a bill without one. Never changed.';
      COMMENT ON COLUMN payments.cents IS 'What it pays off; negative where it is given back.';
      COMMENT ON COLUMN payments.rounded_cents IS 'What was given over the counter beyond that, as there are no smaller coins.';
      CREATE TRIGGER payments_are_history BEFORE UPDATE OR DELETE ON payments FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();
      CREATE TRIGGER payments_are_not_emptied BEFORE TRUNCATE ON payments FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewriting();

      CREATE TABLE drawer_counts (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        counted_cents integer NOT NULL CONSTRAINT drawer_counts_counted CHECK (counted_cents >= 0),
        expected_cents integer NOT NULL,
        last_payment_id bigint REFERENCES payments,
        left_cents integer NOT NULL CONSTRAINT drawer_counts_left CHECK (left_cents BETWEEN 0 AND counted_cents),
        note text CONSTRAINT drawer_counts_note_length CHECK (length(note) BETWEEN 1 AND 300),
        counted_at timestamptz NOT NULL,
        counted_by bigint NOT NULL REFERENCES people,
        request_key uuid NOT NULL CONSTRAINT drawer_counts_once UNIQUE,
        CONSTRAINT drawer_counts_say_why CHECK (counted_cents = expected_cents OR note IS NOT NULL));
      CREATE INDEX drawer_counts_at ON drawer_counts (counted_at);
      COMMENT ON TABLE drawer_counts IS 'What lay in the drawer, what should have, and what stayed in it. Never changed.';
      CREATE TRIGGER drawer_counts_are_history BEFORE UPDATE OR DELETE ON drawer_counts FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();
      CREATE TRIGGER drawer_counts_are_not_emptied BEFORE TRUNCATE ON drawer_counts FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewriting();
    SQL
  end

  down do
    run "DROP TABLE drawer_counts, payments, bills, bill_counter; DROP FUNCTION number_bill(); " \
        "ALTER TABLE jobs DROP COLUMN look_fee_cents; ALTER TABLE shops DROP COLUMN tax_number"
  end
end
