# frozen_string_literal: true

# A list of parts is kept in pieces, so that neither taking it in nor reading it needs it whole in memory. What it
# would change is written beside it when it has been read: by the page for a short one, by the worker for a long one.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE part_import_pieces (
        part_import_id bigint NOT NULL REFERENCES part_imports, place integer NOT NULL, bytes bytea NOT NULL,
        PRIMARY KEY (part_import_id, place));
      INSERT INTO part_import_pieces (part_import_id, place, bytes)
        SELECT id, 0, convert_to(content, 'UTF8') FROM part_imports WHERE applied_at IS NULL AND content <> '';
      ALTER TABLE part_imports DROP COLUMN content,
        ADD COLUMN bytes bigint NOT NULL DEFAULT 0,
        ADD COLUMN state text NOT NULL DEFAULT 'kept'
          CONSTRAINT part_imports_state CHECK (state IN ('kept', 'read', 'bad', 'taking_over', 'taken_over')),
        ADD COLUMN problems text[] NOT NULL DEFAULT '{}',
        ADD COLUMN reading jsonb,
        ADD COLUMN refused text;
      UPDATE part_imports SET state = CASE WHEN applied_at IS NULL THEN 'kept' ELSE 'taken_over' END;
      UPDATE part_imports SET bytes = coalesce((SELECT sum(length(pieces.bytes)) FROM part_import_pieces AS pieces WHERE part_import_id = part_imports.id), 0);
      SET CONSTRAINTS ALL IMMEDIATE;
      ALTER TABLE part_imports ALTER COLUMN state DROP DEFAULT,
        ADD CONSTRAINT part_imports_taken_over CHECK ((state = 'taken_over') = (applied_at IS NOT NULL)),
        ADD CONSTRAINT part_imports_read CHECK (state NOT IN ('read', 'taking_over') OR reading IS NOT NULL);
    SQL
  end
end
