# frozen_string_literal: true

# A job that came back, and notes on whatever they are about.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE jobs ADD COLUMN comeback_of bigint REFERENCES jobs CONSTRAINT jobs_comeback_of_another CHECK (comeback_of <> id);
      CREATE INDEX jobs_comebacks ON jobs (comeback_of) WHERE comeback_of IS NOT NULL;
      COMMENT ON COLUMN jobs.comeback_of IS 'The job after which the machine came back within the shop''s own guarantee.';
      CREATE TABLE notes (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        machine_id bigint REFERENCES machines,
        job_id bigint REFERENCES jobs,
        position text CONSTRAINT notes_position_of_machine CHECK (position IS NULL OR machine_id IS NOT NULL),
        text text NOT NULL CONSTRAINT notes_length CHECK (length(text) BETWEEN 1 AND 500),
        written_by bigint NOT NULL REFERENCES people,
        written_at timestamptz NOT NULL,
        ended_by bigint REFERENCES people,
        ended_at timestamptz,
        CONSTRAINT notes_are_of_one CHECK (num_nonnulls(machine_id, job_id) = 1),
        CONSTRAINT notes_ended_by_name CHECK ((ended_by IS NULL) = (ended_at IS NULL)));
      CREATE INDEX notes_machine ON notes (machine_id) WHERE machine_id IS NOT NULL AND ended_at IS NULL;
      CREATE INDEX notes_job ON notes (job_id) WHERE job_id IS NOT NULL AND ended_at IS NULL;
      COMMENT ON TABLE notes IS 'What the next person should know of a machine, a place of it, or a job.';
    SQL
  end

  down do
    run "DROP TABLE notes; ALTER TABLE jobs DROP COLUMN comeback_of"
  end
end
