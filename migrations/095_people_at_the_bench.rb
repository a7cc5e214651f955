# frozen_string_literal: true

# Who works at the bench, when, and what not everybody may do there; when somebody is away; and what somebody wants of
# the plan.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE people ADD at_bench boolean NOT NULL DEFAULT false,
        ADD bench_hours jsonb CONSTRAINT people_bench_hours CHECK (jsonb_typeof(bench_hours) = 'object'),
        ADD skills text[] NOT NULL DEFAULT '{}' CONSTRAINT people_skills CHECK (skills <@ ARRAY['motor_heads', 'final_tests']);
      COMMENT ON COLUMN people.at_bench IS 'Whether work is planned for them.';
      COMMENT ON COLUMN people.bench_hours IS 'Their own hours as the shop''s are kept; nothing when they are there whenever it is open.';
      COMMENT ON COLUMN people.skills IS 'What they may do that not everybody may; what nobody is named for, everybody may.';
      UPDATE people SET at_bench = true WHERE role = 'technician';

      CREATE TABLE absences (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        person_id bigint NOT NULL REFERENCES people,
        from_at timestamptz NOT NULL, till_at timestamptz NOT NULL,
        reason text CONSTRAINT absences_reason CHECK (length(reason) BETWEEN 1 AND 120),
        told_at timestamptz NOT NULL, told_by bigint NOT NULL REFERENCES people,
        called_off_at timestamptz, called_off_by bigint REFERENCES people,
        CONSTRAINT absences_in_order CHECK (till_at > from_at),
        CONSTRAINT absences_called_off CHECK ((called_off_at IS NULL) = (called_off_by IS NULL)));
      COMMENT ON TABLE absences IS 'When somebody who works at the bench is away, though the shop is open.';
      CREATE INDEX absences_standing ON absences (till_at) WHERE called_off_at IS NULL;

      ALTER TABLE bench_plans ADD dangers jsonb NOT NULL DEFAULT '[]'
        CONSTRAINT bench_plans_dangers CHECK (jsonb_typeof(dangers) = 'array');
      COMMENT ON COLUMN bench_plans.dangers IS 'Promises that may well be broken, and what would save each.';

      CREATE TABLE step_wishes (
        job_id bigint NOT NULL REFERENCES jobs,
        key text NOT NULL CONSTRAINT step_wishes_key CHECK (key IN ('look_over', 'work', 'refit', 'test')),
        person_id bigint REFERENCES people,
        not_before timestamptz,
        pinned boolean NOT NULL DEFAULT false,
        wished_at timestamptz NOT NULL, wished_by bigint NOT NULL REFERENCES people,
        PRIMARY KEY (job_id, key),
        CONSTRAINT step_wishes_something CHECK (person_id IS NOT NULL OR not_before IS NOT NULL));
      COMMENT ON TABLE step_wishes IS 'What somebody wants of a step of the plan: who does it, not before when, and whether it stays where it is.';
    SQL
  end

  down do
    run <<~SQL
      DROP TABLE step_wishes, absences;
      ALTER TABLE bench_plans DROP dangers;
      ALTER TABLE people DROP at_bench, DROP bench_hours, DROP skills;
    SQL
  end
end
