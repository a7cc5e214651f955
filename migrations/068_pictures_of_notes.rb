# frozen_string_literal: true

# A note may have pictures.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE pictures ALTER COLUMN job_id DROP NOT NULL, ALTER COLUMN state DROP NOT NULL,
        ADD COLUMN note_id bigint REFERENCES notes,
        ADD CONSTRAINT pictures_are_of_one CHECK (num_nonnulls(job_id, note_id) = 1),
        ADD CONSTRAINT pictures_state_of_job CHECK ((job_id IS NULL) = (state IS NULL)),
        ADD CONSTRAINT pictures_once_a_note UNIQUE (note_id, digest);
      COMMENT ON TABLE pictures IS 'A picture of a job or of a note; the file is named by its digest.';
      COMMENT ON COLUMN pictures.state IS 'How the job stood when it was added.';
    SQL
  end

  down do
    run "DELETE FROM pictures WHERE job_id IS NULL; ALTER TABLE pictures DROP COLUMN note_id, " \
        "ALTER COLUMN job_id SET NOT NULL, ALTER COLUMN state SET NOT NULL"
  end
end
