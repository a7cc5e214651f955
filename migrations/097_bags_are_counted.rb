# frozen_string_literal: true

# A clock that counts bags was moved by the washes of its place. The dates of the models that have one are computed
# again, by the worker.
Sequel.migration do
  up do
    run <<~SQL
      WITH asked AS (
        INSERT INTO recomputes (reason, sheet_id, asked_by, asked_at)
        SELECT 'bags are counted, and washes no longer taken for them', sheets.id, (SELECT min(id) FROM people), now()
        FROM sheets JOIN sheet_versions ON sheet_versions.id = sheets.current_version_id
        WHERE EXISTS (SELECT FROM people)
          AND jsonb_path_exists(sheet_versions.content::jsonb, '$.positions[*].tasks[*].clocks[*] ? (@.of == "bags")')
        RETURNING id)
      INSERT INTO que_jobs (job_class, args, job_schema_version)
        SELECT 'UprightBench::Services::RecomputeDues::Plan', jsonb_build_array(id), 2 FROM asked;
    SQL
  end

  # What was computed again stays as it is.
  down { nil }
end
