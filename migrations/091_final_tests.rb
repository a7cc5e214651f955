# frozen_string_literal: true

# What was tried before a machine went home, tests of electrical safety that were made, and what was not mended.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE final_tests (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        job_id bigint NOT NULL REFERENCES jobs,
        trial text NOT NULL CONSTRAINT final_tests_trial CHECK (length(trial) BETWEEN 1 AND 60),
        result text NOT NULL CONSTRAINT final_tests_result CHECK (result IN ('pass', 'fail', 'not_possible')),
        note text CONSTRAINT final_tests_note CHECK (length(note) BETWEEN 1 AND 300),
        tested_at timestamptz NOT NULL, tested_by bigint NOT NULL REFERENCES people,
        CONSTRAINT final_tests_why CHECK (result = 'pass' OR note IS NOT NULL));
      COMMENT ON TABLE final_tests IS 'What was tried at the end of a job, and how it came out; the last answer counts.';
      CREATE INDEX final_tests_of_job ON final_tests (job_id);

      CREATE TABLE safety_tests (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        machine_id bigint NOT NULL REFERENCES machines,
        job_id bigint REFERENCES jobs,
        tester text NOT NULL CONSTRAINT safety_tests_tester CHECK (length(tester) BETWEEN 1 AND 100),
        instrument text NOT NULL CONSTRAINT safety_tests_instrument CHECK (length(instrument) BETWEEN 1 AND 100),
        tested_on date NOT NULL, valid_until date,
        recorded_at timestamptz NOT NULL, recorded_by bigint NOT NULL REFERENCES people,
        CONSTRAINT safety_tests_in_order CHECK (valid_until > tested_on));
      COMMENT ON TABLE safety_tests IS 'That a competent person tested the electrical safety of a machine: who, with what, and until when it holds.';
      CREATE INDEX safety_tests_of_machine ON safety_tests (machine_id);
      CREATE TRIGGER safety_tests_are_history BEFORE UPDATE OR DELETE ON safety_tests
        FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();
      CREATE TRIGGER safety_tests_are_not_emptied BEFORE TRUNCATE OR DELETE ON safety_tests
        FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewriting();

      ALTER TABLE jobs ADD not_mended_reason text CONSTRAINT jobs_not_mended_reason CHECK (length(not_mended_reason) BETWEEN 1 AND 300),
        ADD not_mended_by bigint REFERENCES people;
      COMMENT ON COLUMN jobs.not_mended_reason IS 'Why it goes home with its complaint, as the bill and the slip say it.';
    SQL
  end

  down do
    run "ALTER TABLE jobs DROP not_mended_reason, DROP not_mended_by; DROP TABLE safety_tests, final_tests"
  end
end
