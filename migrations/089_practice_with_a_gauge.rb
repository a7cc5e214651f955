# frozen_string_literal: true

# What a gauge shows at a machine that is practised on, and what whoever practises would do about the fault.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE practice_readings (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        practice_round_id bigint NOT NULL REFERENCES practice_rounds,
        point text NOT NULL CONSTRAINT practice_readings_point CHECK (length(point) BETWEEN 1 AND 60),
        kind text NOT NULL CONSTRAINT practice_readings_kind CHECK (kind IN ('sealed', 'flow')),
        exhaust_off boolean NOT NULL,
        value double precision NOT NULL CONSTRAINT practice_readings_value CHECK (value BETWEEN 0 AND 200),
        minutes double precision NOT NULL CONSTRAINT practice_readings_minutes CHECK (minutes > 0),
        read_at timestamptz NOT NULL,
        CONSTRAINT practice_readings_once UNIQUE (practice_round_id, point, kind, exhaust_off));
      COMMENT ON TABLE practice_readings IS 'What a gauge showed in a round of practice, in kilopascals or litres a second.';
      ALTER TABLE practice_rounds ADD remedy text CONSTRAINT practice_rounds_remedy CHECK (length(remedy) BETWEEN 1 AND 20);
      COMMENT ON COLUMN practice_rounds.remedy IS 'What would be done about what was named.';
    SQL
  end

  down do
    run "ALTER TABLE practice_rounds DROP remedy; DROP TABLE practice_readings"
  end
end
