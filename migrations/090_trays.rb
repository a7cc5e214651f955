# frozen_string_literal: true

# What is open at a machine, counted out and in, and what did not come out even.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE opened_steps (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        job_id bigint NOT NULL REFERENCES jobs,
        step text NOT NULL CONSTRAINT opened_steps_step CHECK (length(step) BETWEEN 1 AND 60),
        counted_out boolean NOT NULL,
        opened_at timestamptz NOT NULL, opened_by bigint NOT NULL REFERENCES people,
        closed_at timestamptz, closed_by bigint REFERENCES people,
        CONSTRAINT opened_steps_closed CHECK ((closed_at IS NULL) = (closed_by IS NULL)),
        CONSTRAINT opened_steps_in_order CHECK (closed_at >= opened_at));
      COMMENT ON TABLE opened_steps IS 'Steps of opening a machine: when each was opened and closed, and by whom.';
      COMMENT ON COLUMN opened_steps.counted_out IS 'Whether somebody counted what came off; if not, what the sheet says lies on the tray.';
      CREATE UNIQUE INDEX opened_steps_once ON opened_steps (job_id, step) WHERE closed_at IS NULL;
      CREATE INDEX opened_steps_of_job ON opened_steps (job_id);

      CREATE TABLE tray_differences (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        job_id bigint NOT NULL REFERENCES jobs,
        opened_step_id bigint REFERENCES opened_steps,
        piece text CONSTRAINT tray_differences_piece CHECK (length(piece) BETWEEN 1 AND 60),
        words text NOT NULL CONSTRAINT tray_differences_words CHECK (length(words) BETWEEN 1 AND 300),
        expected integer NOT NULL CONSTRAINT tray_differences_expected CHECK (expected BETWEEN 0 AND 1000),
        counted integer NOT NULL CONSTRAINT tray_differences_counted CHECK (counted BETWEEN 0 AND 1000),
        noted_at timestamptz NOT NULL, noted_by bigint NOT NULL REFERENCES people,
        settled_at timestamptz, settled_by bigint REFERENCES people,
        explanation text CONSTRAINT tray_differences_explanation CHECK (length(explanation) BETWEEN 1 AND 300),
        CONSTRAINT tray_differences_differ CHECK (expected <> counted),
        CONSTRAINT tray_differences_of_a_step CHECK ((opened_step_id IS NULL) = (piece IS NULL)),
        CONSTRAINT tray_differences_settled CHECK ((settled_at IS NULL) = (settled_by IS NULL)),
        CONSTRAINT tray_differences_explained CHECK (explanation IS NULL OR settled_at IS NOT NULL));
      COMMENT ON TABLE tray_differences IS 'What did not come out even when a tray or the tools were counted, until it was found or explained.';
      COMMENT ON COLUMN tray_differences.piece IS 'Which piece of the step; nothing for a tool.';
      COMMENT ON COLUMN tray_differences.explanation IS 'Why it goes home like that; nothing when it was found.';
      CREATE INDEX tray_differences_of_job ON tray_differences (job_id);

      ALTER TABLE jobs ADD tools_back_at timestamptz, ADD tools_back_by bigint REFERENCES people;
      COMMENT ON COLUMN jobs.tools_back_at IS 'When the tools of its opening were counted; nothing while some are out.';
      ALTER TABLE pictures ADD step text CONSTRAINT pictures_step CHECK (length(step) BETWEEN 1 AND 60);
      COMMENT ON COLUMN pictures.step IS 'The step of opening that it was taken at.';
    SQL
  end

  down do
    run <<~SQL
      ALTER TABLE pictures DROP step;
      ALTER TABLE jobs DROP tools_back_at, DROP tools_back_by;
      DROP TABLE tray_differences, opened_steps;
    SQL
  end
end
