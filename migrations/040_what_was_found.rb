# frozen_string_literal: true

# How far gone a place was found, and on which step of a scale: the clocks that go by condition run from there.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE dues ADD COLUMN load numeric(4, 2) CONSTRAINT dues_load CHECK (load BETWEEN 0 AND 1.5),
        ADD COLUMN load_step numeric(4, 2) CONSTRAINT dues_load_step CHECK (load_step BETWEEN 0 AND 1),
        ADD COLUMN load_on date,
        ADD CONSTRAINT dues_load_whole CHECK ((load IS NULL) = (load_on IS NULL) AND (load IS NULL) = (load_step IS NULL));
    SQL
  end

  down do
    run "ALTER TABLE dues DROP COLUMN load, DROP COLUMN load_step, DROP COLUMN load_on"
  end
end
