# frozen_string_literal: true

# Gauges that write lines: how each writes them, what it shows just now, and where it is held.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE gauges (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        name text NOT NULL CONSTRAINT gauges_name CHECK (length(name) BETWEEN 1 AND 60),
        pattern text NOT NULL CONSTRAINT gauges_pattern CHECK (length(pattern) BETWEEN 1 AND 80),
        unit text CONSTRAINT gauges_unit CHECK (length(unit) BETWEEN 1 AND 10),
        error_percent double precision NOT NULL CONSTRAINT gauges_error CHECK (error_percent BETWEEN 0.5 AND 20),
        token_digest text NOT NULL CONSTRAINT gauges_token UNIQUE CHECK (length(token_digest) = 64),
        added_by bigint NOT NULL REFERENCES people, added_at timestamptz NOT NULL,
        put_away_at timestamptz);
      COMMENT ON TABLE gauges IS 'Gauges that write lines, and how each writes them.';
      COMMENT ON COLUMN gauges.token_digest IS 'SHA-256 of what its reader shows to be let in.';
      CREATE UNIQUE INDEX gauges_name_in_use ON gauges (lower(name)) WHERE put_away_at IS NULL;

      CREATE TABLE gauge_streams (
        gauge_id bigint PRIMARY KEY REFERENCES gauges,
        heard_at timestamptz,
        shown jsonb NOT NULL DEFAULT '[]',
        last_line text CONSTRAINT gauge_streams_last_line CHECK (length(last_line) <= 80),
        understood boolean NOT NULL DEFAULT true,
        held_at timestamptz, held_job_id bigint REFERENCES jobs,
        held_point text CONSTRAINT gauge_streams_point CHECK (length(held_point) BETWEEN 1 AND 60),
        held_kind text CONSTRAINT gauge_streams_kind CHECK (held_kind IN ('sealed', 'flow', 'plate')),
        held_plate_mm double precision, held_exhaust_off boolean NOT NULL DEFAULT false);
      COMMENT ON TABLE gauge_streams IS 'What a gauge showed in the last seconds, and where the page says it is held.';

      ALTER TABLE suction_readings ADD gauge_id bigint REFERENCES gauges;
    SQL
  end

  down do
    run "ALTER TABLE suction_readings DROP gauge_id; DROP TABLE gauge_streams, gauges"
  end
end
