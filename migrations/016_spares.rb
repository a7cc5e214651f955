# frozen_string_literal: true

# A spare in rotation: the machine goes home with one filter while the other, washed, waits for its turn.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE work_items
        ADD COLUMN rotates boolean NOT NULL DEFAULT false,
        ADD COLUMN own_spare boolean NOT NULL DEFAULT false,
        ADD CONSTRAINT work_items_rotation CHECK (action = 'replace' OR NOT (rotates OR own_spare)),
        ADD CONSTRAINT work_items_own_spare_is_no_part CHECK (NOT own_spare OR part_id IS NULL);
      CREATE INDEX work_items_kept ON work_items (part_id) WHERE state = 'to_do' AND action = 'replace';
      CREATE TABLE spares (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        machine_id bigint NOT NULL REFERENCES machines, position text NOT NULL,
        part_id bigint REFERENCES parts,
        wash_count integer NOT NULL CONSTRAINT spares_washes CHECK (wash_count >= 0),
        washed_on date NOT NULL,
        work_item_id bigint NOT NULL REFERENCES work_items CONSTRAINT spares_one_an_item UNIQUE,
        used_item_id bigint REFERENCES work_items CONSTRAINT spares_used_once UNIQUE);
      CREATE UNIQUE INDEX spares_one_in_waiting ON spares (machine_id, position) WHERE used_item_id IS NULL;
    SQL
  end
end
