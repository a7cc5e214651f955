# frozen_string_literal: true

# Telling people about a job: that it is ready, that it still waits, that it will be later.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE customers ADD COLUMN told_by text CONSTRAINT customers_told_by CHECK (told_by IN ('email', 'text', 'phone'));
      COMMENT ON COLUMN customers.told_by IS 'How they agreed to hear about a job; cards are another matter.';
      CREATE TABLE notices (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        job_id bigint NOT NULL REFERENCES jobs,
        kind text NOT NULL CONSTRAINT notices_kind CHECK (kind IN ('ready', 'fetch', 'late')),
        channel text NOT NULL CONSTRAINT notices_channel CHECK (channel IN ('email', 'text', 'phone')),
        recipient text,
        subject text NOT NULL,
        body text NOT NULL,
        key uuid NOT NULL DEFAULT gen_random_uuid(),
        state text NOT NULL DEFAULT 'waiting' CONSTRAINT notices_state
          CHECK (state IN ('waiting', 'handing_over', 'handed_over', 'to_call', 'called', 'withdrawn')),
        tries integer NOT NULL DEFAULT 0,
        last_error text,
        asked_by bigint REFERENCES people,
        asked_at timestamptz NOT NULL,
        told_at timestamptz,
        told_by bigint REFERENCES people,
        CONSTRAINT notices_reach_somebody CHECK (recipient IS NOT NULL OR channel = 'phone'));
      CREATE INDEX notices_job ON notices (job_id, id);
      CREATE INDEX notices_to_call ON notices (id) WHERE state = 'to_call';
      COMMENT ON TABLE notices IS 'What a customer was told about a job, or is to be told on the phone.';
    SQL
  end

  down { run "DROP TABLE notices; ALTER TABLE customers DROP COLUMN told_by" }
end
