# frozen_string_literal: true

# A part that the customer brought along: fitted, and not sold.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE work_items
        ADD COLUMN brought boolean NOT NULL DEFAULT false,
        ADD COLUMN accessory_id bigint REFERENCES job_accessories,
        ADD CONSTRAINT work_items_brought_is_their_own CHECK (NOT brought OR own_spare),
        ADD CONSTRAINT work_items_counted_in_is_brought CHECK (accessory_id IS NULL OR brought);
      COMMENT ON COLUMN work_items.accessory_id IS 'Of what came with the machine, the one that it was taken from.';
    SQL
  end

  down { run "ALTER TABLE work_items DROP COLUMN accessory_id, DROP COLUMN brought" }
end
