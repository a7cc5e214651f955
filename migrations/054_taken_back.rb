# frozen_string_literal: true

# What a job came from, step by step, and what stood before it was closed up, so that either can be taken back in full.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE jobs
        ADD COLUMN came_from text[] NOT NULL DEFAULT '{}',
        ADD COLUMN called_off_reason text CONSTRAINT jobs_called_off_reason_length CHECK (length(called_off_reason) BETWEEN 1 AND 300);
      COMMENT ON COLUMN jobs.came_from IS 'States that were left for one that can be taken back, the last one last.';
      CREATE TABLE before_close_ups (
        job_id bigint PRIMARY KEY REFERENCES jobs,
        kept jsonb NOT NULL,
        kept_at timestamptz NOT NULL);
      COMMENT ON TABLE before_close_ups IS 'What stood at a machine before its job was closed up, for as long as that may be taken back.';
    SQL
  end

  down do
    run "DROP TABLE before_close_ups; ALTER TABLE jobs DROP COLUMN came_from, DROP COLUMN called_off_reason"
  end
end
