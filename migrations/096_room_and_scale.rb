# frozen_string_literal: true

# Devices of other kinds than gauges: what the drying room's air was, and what parts weigh. Slots of the rack by size.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE gauges ADD kind text NOT NULL DEFAULT 'suction'
        CONSTRAINT gauges_kind CHECK (kind IN ('suction', 'room', 'scale'));
      COMMENT ON TABLE gauges IS 'Gauges, room thermometers and scales that write lines, and how each writes them.';

      CREATE TABLE room_readings (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        gauge_id bigint NOT NULL REFERENCES gauges,
        read_at timestamptz NOT NULL,
        temperature_c double precision NOT NULL CONSTRAINT room_readings_temperature CHECK (temperature_c BETWEEN -20 AND 50),
        humidity_percent double precision NOT NULL CONSTRAINT room_readings_humidity CHECK (humidity_percent BETWEEN 0 AND 100),
        CONSTRAINT room_readings_once UNIQUE (gauge_id, read_at));
      COMMENT ON TABLE room_readings IS 'The air of the drying room as a device read it, every few minutes.';
      CREATE INDEX room_readings_read_at ON room_readings (read_at);

      ALTER TABLE rack_slots ADD size smallint NOT NULL DEFAULT 3 CONSTRAINT rack_slots_size CHECK (size BETWEEN 1 AND 3);
      COMMENT ON COLUMN rack_slots.size IS 'How large a part it takes: 1 small, 2 medium, 3 anything.';

      ALTER TABLE rack_stays ALTER rack_slot_id DROP NOT NULL,
        ADD elsewhere text CONSTRAINT rack_stays_elsewhere CHECK (length(elsewhere) BETWEEN 1 AND 40),
        ADD CONSTRAINT rack_stays_somewhere CHECK ((rack_slot_id IS NULL) = (elsewhere IS NOT NULL)),
        ADD base_hours double precision CONSTRAINT rack_stays_base CHECK (base_hours > 0),
        ADD factor double precision CONSTRAINT rack_stays_factor CHECK (factor > 0),
        ADD too_damp boolean NOT NULL DEFAULT false,
        ADD dry_grams double precision CONSTRAINT rack_stays_dry_grams CHECK (dry_grams BETWEEN 1 AND 20000),
        ADD CONSTRAINT rack_stays_reckoned CHECK ((base_hours IS NULL) = (factor IS NULL));
      COMMENT ON COLUMN rack_stays.elsewhere IS 'Where it dries, if on no slot of the rack.';
      COMMENT ON COLUMN rack_stays.base_hours IS 'Hours in the air that they are meant for, and the least that it lies here.';
      COMMENT ON COLUMN rack_stays.factor IS 'How many times as long it takes: not shaken out, in a draught.';
      COMMENT ON COLUMN rack_stays.too_damp IS 'It would take more than four days in this room: its hours say nothing.';
      COMMENT ON COLUMN rack_stays.dry_grams IS 'What it weighed before the wash.';

      CREATE TABLE weighings (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        rack_stay_id bigint NOT NULL REFERENCES rack_stays,
        grams double precision NOT NULL CONSTRAINT weighings_grams CHECK (grams BETWEEN 1 AND 20000),
        dry boolean NOT NULL,
        weighed_at timestamptz NOT NULL, weighed_by bigint NOT NULL REFERENCES people);
      COMMENT ON TABLE weighings IS 'What a washed part weighed while it dried, and whether that was dry.';
      CREATE INDEX weighings_of_stay ON weighings (rack_stay_id);
    SQL
  end

  down do
    run <<~SQL
      DROP TABLE weighings, room_readings;
      ALTER TABLE rack_stays DROP elsewhere, DROP base_hours, DROP factor, DROP too_damp, DROP dry_grams;
      ALTER TABLE rack_slots DROP size;
      DELETE FROM gauge_streams WHERE gauge_id IN (SELECT id FROM gauges WHERE kind <> 'suction');
      DELETE FROM gauges WHERE kind <> 'suction';
      ALTER TABLE gauges DROP kind;
    SQL
  end
end
