# frozen_string_literal: true

# A part that nobody listed, chosen at the bench: fitted on trial, and what came of it.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE work_items
        ADD COLUMN untried boolean NOT NULL DEFAULT false,
        ADD CONSTRAINT work_items_untried_is_a_part CHECK (NOT untried OR part_id IS NOT NULL);
      COMMENT ON COLUMN work_items.untried IS 'Nobody says yet that its part fits this model.';
      ALTER TABLE parts ADD COLUMN bought_in boolean NOT NULL DEFAULT false;
      COMMENT ON COLUMN parts.bought_in IS 'Written as a free line at the bench: bought for one job, not from the shelf.';
      CREATE SEQUENCE own_part_numbers;
      CREATE TABLE misfits (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        part_id bigint NOT NULL REFERENCES parts,
        position text NOT NULL,
        model_title text NOT NULL,
        reason text NOT NULL CONSTRAINT misfits_reason_length CHECK (length(reason) BETWEEN 1 AND 300),
        job_id bigint NOT NULL REFERENCES jobs,
        said_by bigint NOT NULL REFERENCES people,
        said_at timestamptz NOT NULL);
      CREATE INDEX misfits_model ON misfits (model_title, position);
      CREATE INDEX misfits_part ON misfits (part_id);
      CREATE TRIGGER misfits_are_history BEFORE UPDATE OR DELETE ON misfits FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();
      CREATE TRIGGER misfits_are_not_emptied BEFORE TRUNCATE ON misfits FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewriting();
      COMMENT ON TABLE misfits IS 'That a part was tried at a place of a model and did not fit, and why. Never changed.';
    SQL
  end

  down do
    run "DROP TABLE misfits; DROP SEQUENCE own_part_numbers; ALTER TABLE parts DROP COLUMN bought_in; " \
        "ALTER TABLE work_items DROP COLUMN untried"
  end
end
