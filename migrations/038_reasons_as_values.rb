# frozen_string_literal: true

# Reasons are kept as a key and its figures, so that they can be worded for whoever reads them. What was kept as a
# sentence stays one ("written"); the dates that run are computed again once, which gives them their figures.
Sequel.migration do
  up do
    run <<~SQL
      UPDATE dues SET reasons_mark = NULL, reasons = (
        SELECT coalesce(jsonb_agg(jsonb_build_object('key', 'written', 'text', sentence)), '[]')
        FROM jsonb_array_elements_text(reasons) AS sentence);
      ALTER TABLE dues ADD CONSTRAINT dues_reasons_list CHECK (jsonb_typeof(reasons) = 'array');
      ALTER TABLE findings ADD COLUMN figures jsonb
        CONSTRAINT findings_figures_object CHECK (jsonb_typeof(figures) = 'object');
      WITH asked AS (
        INSERT INTO recomputes (reason, asked_by, asked_at)
        SELECT 'reasons are kept as figures', min(id), now() FROM people
        WHERE EXISTS (SELECT FROM dues) HAVING min(id) IS NOT NULL
        RETURNING id)
      INSERT INTO que_jobs (job_class, args, job_schema_version)
        SELECT 'UprightBench::Services::RecomputeDues::Plan', jsonb_build_array(id), 2 FROM asked;
    SQL
  end

  down do
    run <<~SQL
      ALTER TABLE findings DROP COLUMN figures;
      ALTER TABLE dues DROP CONSTRAINT dues_reasons_list;
      UPDATE dues SET reasons_mark = NULL, reasons = (
        SELECT coalesce(jsonb_agg(reason ->> 'key'), '[]') FROM jsonb_array_elements(reasons) AS reason);
    SQL
  end
end
