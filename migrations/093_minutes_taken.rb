# frozen_string_literal: true

# How long each line of work took, as far as that can be told from what was pressed.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE work_items ADD took_minutes double precision CONSTRAINT work_items_took CHECK (took_minutes > 0),
        ADD CONSTRAINT work_items_took_when_done CHECK (took_minutes IS NULL OR state = 'done');
      COMMENT ON COLUMN work_items.took_minutes IS 'From the last press of whoever did it to the one that said done; nothing where nobody can tell.';
      CREATE INDEX events_person ON events (person_id, at);
    SQL
  end

  down do
    run "DROP INDEX events_person; ALTER TABLE work_items DROP took_minutes"
  end
end
