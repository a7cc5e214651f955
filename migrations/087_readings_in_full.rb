# frozen_string_literal: true

# What a reading was taken in: with the exhaust on or off, in air how heavy; and why a job was closed up although its
# machine still pulls less than it should.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE suction_readings
        ADD exhaust_off boolean NOT NULL DEFAULT false,
        ADD air_kg_m3 double precision CONSTRAINT suction_readings_air CHECK (air_kg_m3 BETWEEN 0.6 AND 1.6);
      COMMENT ON COLUMN suction_readings.exhaust_off IS 'Whether what is behind the fan was off, too.';
      COMMENT ON COLUMN suction_readings.air_kg_m3 IS 'Density of the air it was taken in; unknown when empty.';

      ALTER TABLE jobs
        ADD weak_air_reason text CONSTRAINT jobs_weak_air_reason CHECK (length(weak_air_reason) BETWEEN 1 AND 300),
        ADD weak_air_by bigint REFERENCES people,
        ADD CONSTRAINT jobs_weak_air_needs_a_name CHECK ((weak_air_reason IS NULL) = (weak_air_by IS NULL));
      COMMENT ON COLUMN jobs.weak_air_reason IS 'Why it was closed up although it pulls less than it should.';
    SQL
  end

  down do
    run <<~SQL
      ALTER TABLE jobs DROP weak_air_reason, DROP weak_air_by;
      ALTER TABLE suction_readings DROP exhaust_off, DROP air_kg_m3;
    SQL
  end
end
