# frozen_string_literal: true

# The shop's own time zone; without one, that of the machine.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE shops ADD COLUMN time_zone text
        CONSTRAINT shops_time_zone CHECK (time_zone ~ '^[A-Za-z_/+0-9-]{3,60}$');
      COMMENT ON COLUMN shops.time_zone IS 'Its name in the IANA database; empty for that of the machine.';
    SQL
  end

  down do
    run "ALTER TABLE shops DROP COLUMN time_zone"
  end
end
