# frozen_string_literal: true

# The dates of many machines, computed again by the worker because something that they all rest on has changed.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE recomputes (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        reason text NOT NULL CONSTRAINT recomputes_reason_length CHECK (length(reason) BETWEEN 1 AND 200),
        sheet_id bigint REFERENCES sheets,
        machines integer, done integer NOT NULL DEFAULT 0,
        asked_by bigint NOT NULL REFERENCES people, asked_at timestamptz NOT NULL, finished_at timestamptz,
        CONSTRAINT recomputes_done CHECK (done >= 0 AND (machines IS NULL OR done <= machines)));
      CREATE INDEX recomputes_open ON recomputes (id) WHERE finished_at IS NULL;
    SQL
  end
end
