# frozen_string_literal: true

# Washed parts that are turned halfway.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE rack_stays ADD turned_at timestamptz, ADD turned_by bigint REFERENCES people,
        ADD CONSTRAINT rack_stays_turned CHECK ((turned_at IS NULL) = (turned_by IS NULL));
      COMMENT ON COLUMN rack_stays.turned_at IS 'When it was turned over, where its sheet asks for that.';
    SQL
  end

  down do
    run "ALTER TABLE rack_stays DROP turned_at, DROP turned_by"
  end
end
