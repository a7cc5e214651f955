# frozen_string_literal: true

# Lists of parts as suppliers send them: which of their columns is which of ours.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE suppliers ADD COLUMN list_columns jsonb NOT NULL DEFAULT '{}'
        CONSTRAINT suppliers_list_columns CHECK (jsonb_typeof(list_columns) = 'object');
      COMMENT ON COLUMN suppliers.list_columns IS 'What the columns of their lists are called: theirs => ours.';
      ALTER TABLE part_imports
        ADD COLUMN supplier_id bigint REFERENCES suppliers,
        ADD COLUMN meanings jsonb NOT NULL DEFAULT '{}',
        ADD COLUMN kind text,
        ADD COLUMN headers text[] NOT NULL DEFAULT '{}',
        ADD COLUMN told text[] NOT NULL DEFAULT '{}',
        DROP CONSTRAINT part_imports_state,
        ADD CONSTRAINT part_imports_state CHECK (state IN ('kept', 'to_map', 'read', 'bad', 'taking_over', 'taken_over'));
      COMMENT ON COLUMN part_imports.told IS 'What was left out, line by line, without refusing the rest.';
    SQL
  end

  down do
    run "ALTER TABLE part_imports DROP COLUMN told, DROP COLUMN headers, DROP COLUMN kind, DROP COLUMN meanings, " \
        "DROP COLUMN supplier_id; ALTER TABLE suppliers DROP COLUMN list_columns"
  end
end
