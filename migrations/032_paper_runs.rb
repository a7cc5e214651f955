# frozen_string_literal: true

# Papers of many pages are made by the worker, part by part, and fetched when they are there. The same one asked for
# twice by the same person while it is being made is made once.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE paper_runs (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        kind text NOT NULL, arguments jsonb NOT NULL DEFAULT '{}', name text NOT NULL,
        pages integer NOT NULL CONSTRAINT paper_runs_pages CHECK (pages > 0), pages_done integer NOT NULL DEFAULT 0,
        parts integer NOT NULL CONSTRAINT paper_runs_parts CHECK (parts > 0), parts_done integer NOT NULL DEFAULT 0,
        asked_by bigint NOT NULL REFERENCES people, asked_at timestamptz NOT NULL, finished_at timestamptz, failed text,
        CONSTRAINT paper_runs_done CHECK (parts_done BETWEEN 0 AND parts));
      CREATE UNIQUE INDEX paper_runs_once ON paper_runs (asked_by, kind, arguments) WHERE finished_at IS NULL;
      CREATE INDEX paper_runs_asked ON paper_runs (asked_at);
      CREATE TABLE paper_pieces (
        paper_run_id bigint NOT NULL REFERENCES paper_runs, part integer NOT NULL, place integer NOT NULL, bytes bytea NOT NULL,
        PRIMARY KEY (paper_run_id, part, place));
    SQL
  end
end
