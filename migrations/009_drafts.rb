# frozen_string_literal: true

# A sheet is edited as a draft, one at a time for each sheet, and kept as a version when it is done.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE sheet_drafts (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        sheet_id bigint REFERENCES sheets CONSTRAINT sheet_drafts_one_per_sheet UNIQUE,
        content jsonb NOT NULL,
        base_version_id bigint REFERENCES sheet_versions,
        lock_version integer NOT NULL DEFAULT 0,
        begun_by bigint NOT NULL REFERENCES people, begun_at timestamptz NOT NULL,
        changed_by bigint NOT NULL REFERENCES people,
        CONSTRAINT sheet_drafts_base CHECK ((sheet_id IS NULL) = (base_version_id IS NULL)));
    SQL
  end
end
