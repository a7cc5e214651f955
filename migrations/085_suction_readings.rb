# frozen_string_literal: true

# What a gauge showed of suction and flow, at a point of a machine's air path.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE suction_readings (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        job_id bigint NOT NULL REFERENCES jobs,
        point text NOT NULL CONSTRAINT suction_readings_point CHECK (length(point) BETWEEN 1 AND 60),
        kind text NOT NULL CONSTRAINT suction_readings_kind CHECK (kind IN ('sealed', 'flow', 'plate')),
        value double precision NOT NULL CONSTRAINT suction_readings_value CHECK (value BETWEEN 0 AND 200),
        plate_mm double precision CONSTRAINT suction_readings_plate_mm CHECK (plate_mm BETWEEN 1 AND 100),
        error_percent double precision NOT NULL CONSTRAINT suction_readings_error CHECK (error_percent BETWEEN 0.5 AND 20),
        taken_by bigint NOT NULL REFERENCES people, taken_at timestamptz NOT NULL,
        CONSTRAINT suction_readings_plate CHECK ((kind = 'plate') = (plate_mm IS NOT NULL)));
      COMMENT ON TABLE suction_readings IS 'Suction and flow as a gauge showed them, with all upstream of the point off.';
      COMMENT ON COLUMN suction_readings.point IS 'Key of the station at whose inlet it was taken.';
      COMMENT ON COLUMN suction_readings.value IS 'In kilopascals, and in litres a second for a flow.';
      CREATE INDEX suction_readings_job ON suction_readings (job_id);
    SQL
  end

  down do
    run "DROP TABLE suction_readings"
  end
end
