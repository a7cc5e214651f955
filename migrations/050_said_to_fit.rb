# frozen_string_literal: true

# Who says that a part fits, and what was said until it turned out otherwise.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE fit_rules
        ADD COLUMN said_by text CONSTRAINT fit_rules_said_by CHECK (said_by IN ('maker', 'supplier', 'tried')),
        ADD COLUMN note text CONSTRAINT fit_rules_note_length CHECK (length(note) BETWEEN 1 AND 300),
        ADD COLUMN added_by bigint REFERENCES people,
        ADD COLUMN added_at timestamptz,
        ADD CONSTRAINT fit_rules_added_whole CHECK ((said_by IS NULL) = (added_by IS NULL) AND (added_by IS NULL) = (added_at IS NULL));
      CREATE TABLE ended_fits (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        part_id bigint NOT NULL REFERENCES parts,
        rule jsonb NOT NULL,
        ended_by bigint NOT NULL REFERENCES people,
        ended_at timestamptz NOT NULL);
      CREATE INDEX ended_fits_part ON ended_fits (part_id);
      CREATE TRIGGER ended_fits_are_history BEFORE UPDATE OR DELETE ON ended_fits FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();
      CREATE TRIGGER ended_fits_are_not_emptied BEFORE TRUNCATE ON ended_fits FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewriting();
      COMMENT ON TABLE ended_fits IS 'That a part was listed for a place, until somebody ended it. Never changed.';
    SQL
  end

  down do
    run "DROP TABLE ended_fits; ALTER TABLE fit_rules DROP COLUMN said_by, DROP COLUMN note, DROP COLUMN added_by, " \
        "DROP COLUMN added_at"
  end
end
