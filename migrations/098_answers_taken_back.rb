# frozen_string_literal: true

# An answer of a search that was taken back stays, with who took it back, and what it wrote as a finding goes: for that
# it is kept what stood at the place before.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE fault_results
        ADD taken_back_at timestamptz, ADD taken_back_by bigint REFERENCES people,
        ADD position text CONSTRAINT fault_results_position CHECK (length(position) BETWEEN 1 AND 60),
        ADD finding_key uuid,
        ADD stood_before jsonb,
        ADD CONSTRAINT fault_results_taken_back_whole CHECK ((taken_back_at IS NULL) = (taken_back_by IS NULL)),
        ADD CONSTRAINT fault_results_wrote_whole CHECK (
          (position IS NULL) = (finding_key IS NULL) AND (position IS NULL) = (stood_before IS NULL)),
        DROP CONSTRAINT fault_results_once;
      CREATE UNIQUE INDEX fault_results_once ON fault_results (fault_search_id, check_key) WHERE taken_back_at IS NULL;
      COMMENT ON COLUMN fault_results.taken_back_at IS 'When it was taken back; it counts no longer, its minutes do.';
      COMMENT ON COLUMN fault_results.position IS 'Place at which it wrote a finding.';
      COMMENT ON COLUMN fault_results.finding_key IS 'The request_key of that finding, while nobody has changed it.';
      COMMENT ON COLUMN fault_results.stood_before IS 'The finding and the skip that stood at the place before.';
    SQL
  end

  down do
    run <<~SQL
      DELETE FROM fault_results WHERE taken_back_at IS NOT NULL;
      DROP INDEX fault_results_once;
      ALTER TABLE fault_results DROP taken_back_at, DROP taken_back_by, DROP position, DROP finding_key, DROP stood_before,
        ADD CONSTRAINT fault_results_once UNIQUE (fault_search_id, check_key);
    SQL
  end
end
