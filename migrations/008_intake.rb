# frozen_string_literal: true

# Taking in, in full: what came with a machine, pictures, conditions that stop it at the counter; and the look-over's
# skips, its loads, and saves that may be sent twice.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE machines ADD COLUMN bought_at text CONSTRAINT machines_bought_at_length CHECK (length(bought_at) <= 120);

      CREATE TABLE job_accessories (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        job_id bigint NOT NULL REFERENCES jobs,
        name text NOT NULL CONSTRAINT job_accessories_name_length CHECK (length(name) BETWEEN 1 AND 60),
        pieces_in integer NOT NULL CONSTRAINT job_accessories_in CHECK (pieces_in BETWEEN 1 AND 99),
        pieces_out integer CONSTRAINT job_accessories_out CHECK (pieces_out BETWEEN 0 AND pieces_in),
        CONSTRAINT job_accessories_once UNIQUE (job_id, name));
      INSERT INTO job_accessories (job_id, name, pieces_in)
        SELECT id, left(came_with, 60), 1 FROM jobs WHERE came_with <> '';
      ALTER TABLE jobs DROP COLUMN came_with;
      -- A machine with a stop on it may not be made safe yet; whoever clears the stop does it.
      ALTER TABLE jobs ALTER COLUMN made_safe_at DROP NOT NULL, ALTER COLUMN made_safe_by DROP NOT NULL;
      ALTER TABLE jobs ADD CONSTRAINT jobs_made_safe_by_name CHECK ((made_safe_at IS NULL) = (made_safe_by IS NULL));
      ALTER TABLE jobs ADD COLUMN missing_note text CONSTRAINT jobs_missing_note_length CHECK (length(missing_note) <= 500);

      CREATE TABLE pictures (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        job_id bigint NOT NULL REFERENCES jobs,
        digest text NOT NULL CONSTRAINT pictures_digest CHECK (digest ~ '^[0-9a-f]{64}$'),
        width integer NOT NULL, height integer NOT NULL,
        stage text NOT NULL, added_by bigint NOT NULL REFERENCES people, added_at timestamptz NOT NULL,
        CONSTRAINT pictures_once UNIQUE (job_id, digest));

      -- A stop hangs on a place of the sheet, or on a condition that was seen before anything was opened.
      ALTER TABLE stops ALTER COLUMN position DROP NOT NULL;
      ALTER TABLE stops ADD COLUMN condition text;
      ALTER TABLE stops ADD CONSTRAINT stops_one_cause CHECK (num_nonnulls(position, condition) = 1);
      CREATE UNIQUE INDEX stops_one_open_condition ON stops (job_id, condition) WHERE cleared_at IS NULL AND condition IS NOT NULL;
      CREATE INDEX stops_job ON stops (job_id);

      ALTER TABLE findings
        ADD COLUMN load_found numeric(4, 2) CONSTRAINT findings_load_found CHECK (load_found BETWEEN 0 AND 1.5),
        ADD COLUMN load_expected numeric(4, 2) CONSTRAINT findings_load_expected CHECK (load_expected BETWEEN 0 AND 9.99),
        ADD COLUMN request_key uuid;

      CREATE TABLE skips (
        job_id bigint NOT NULL REFERENCES jobs, position text NOT NULL,
        reason text NOT NULL CONSTRAINT skips_reason_length CHECK (length(reason) BETWEEN 1 AND 200),
        skipped_by bigint NOT NULL REFERENCES people, skipped_at timestamptz NOT NULL,
        PRIMARY KEY (job_id, position));
    SQL
  end
end
