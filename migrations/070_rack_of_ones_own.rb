# frozen_string_literal: true

# A shop says how many slots its rack has. One that is taken away keeps what lay there in the history.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE rack_slots ADD COLUMN closed boolean NOT NULL DEFAULT false;
      COMMENT ON COLUMN rack_slots.closed IS 'Taken away: nothing is laid there any more.';
    SQL
  end

  down { run "ALTER TABLE rack_slots DROP COLUMN closed" }
end
