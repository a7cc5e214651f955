# frozen_string_literal: true

# Searches for what is behind a complaint: what was checked with which result, and what it was.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE fault_searches (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        job_id bigint NOT NULL REFERENCES jobs,
        complaint text NOT NULL CONSTRAINT fault_searches_complaint CHECK (length(complaint) BETWEEN 1 AND 60),
        mended text[] NOT NULL DEFAULT '{}',
        cause text CONSTRAINT fault_searches_cause CHECK (length(cause) BETWEEN 1 AND 120),
        outcome text CONSTRAINT fault_searches_outcome CHECK (outcome IN ('found', 'not_found', 'dropped')),
        begun_by bigint NOT NULL REFERENCES people, begun_at timestamptz NOT NULL,
        ended_by bigint REFERENCES people, ended_at timestamptz,
        CONSTRAINT fault_searches_ended_whole CHECK ((outcome IS NULL) = (ended_at IS NULL) AND (outcome IS NULL) = (ended_by IS NULL)),
        CONSTRAINT fault_searches_cause_found CHECK ((cause IS NOT NULL) = (outcome IS NOT DISTINCT FROM 'found')));
      COMMENT ON TABLE fault_searches IS 'A search for what is behind a complaint of a job.';
      COMMENT ON COLUMN fault_searches.mended IS 'Causes that were mended while the complaint stayed.';
      COMMENT ON COLUMN fault_searches.cause IS 'What it was: key of the place and of what is wrong there.';
      CREATE UNIQUE INDEX fault_searches_one_open ON fault_searches (job_id) WHERE ended_at IS NULL;
      CREATE INDEX fault_searches_job ON fault_searches (job_id);
      CREATE INDEX fault_searches_learned ON fault_searches (complaint) WHERE outcome = 'found';

      CREATE TABLE fault_results (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        fault_search_id bigint NOT NULL REFERENCES fault_searches,
        check_key text NOT NULL CONSTRAINT fault_results_check CHECK (length(check_key) BETWEEN 1 AND 60),
        result text NOT NULL CONSTRAINT fault_results_result CHECK (result IN ('found', 'clear', 'cannot_tell')),
        cause text CONSTRAINT fault_results_cause CHECK (length(cause) BETWEEN 1 AND 120),
        said_by bigint NOT NULL REFERENCES people, said_at timestamptz NOT NULL,
        CONSTRAINT fault_results_once UNIQUE (fault_search_id, check_key));
      COMMENT ON TABLE fault_results IS 'What a check of a search showed.';
      COMMENT ON COLUMN fault_results.cause IS 'Which of the faults that the check can show was seen.';
    SQL
  end

  down do
    run "DROP TABLE fault_results, fault_searches"
  end
end
