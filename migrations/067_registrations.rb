# frozen_string_literal: true

# A machine that its owner registers, on a page behind a code from the shop; it is on file once the
# counter confirmed it.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE registrations (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        customer_id bigint REFERENCES customers,
        expires_on date NOT NULL,
        state text NOT NULL DEFAULT 'given' CONSTRAINT registrations_state
          CHECK (state IN ('given', 'sent_in', 'confirmed', 'turned_down')),
        said jsonb NOT NULL DEFAULT '{}' CONSTRAINT registrations_said CHECK (jsonb_typeof(said) = 'object'),
        sent_in_at timestamptz,
        machine_id bigint REFERENCES machines,
        given_by bigint NOT NULL REFERENCES people,
        given_at timestamptz NOT NULL,
        settled_by bigint REFERENCES people,
        settled_at timestamptz,
        CONSTRAINT registrations_sent_in CHECK (state = 'given' OR sent_in_at IS NOT NULL),
        CONSTRAINT registrations_settled CHECK ((state IN ('confirmed', 'turned_down')) = (settled_at IS NOT NULL)),
        CONSTRAINT registrations_on_file CHECK ((state = 'confirmed') = (machine_id IS NOT NULL)));
      CREATE INDEX registrations_sent_in_at ON registrations (sent_in_at) WHERE state = 'sent_in';
      CREATE INDEX registrations_customer ON registrations (customer_id);
      COMMENT ON TABLE registrations IS 'A code given to a customer, and the machine that they registered with it.';
      COMMENT ON COLUMN registrations.customer_id IS 'Whom it was given to, where they are on file; once confirmed, whose the machine is.';
      COMMENT ON COLUMN registrations.said IS 'What was typed on the page, field by field, until it is confirmed or turned down.';
    SQL
  end

  down { run "DROP TABLE registrations" }
end
