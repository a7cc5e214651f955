# frozen_string_literal: true

# Everything of the shop in one file, as the owner asked for it: the worker writes it, and it is there for a day.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE archive_runs (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        asked_by bigint NOT NULL REFERENCES people, asked_at timestamptz NOT NULL,
        bills boolean NOT NULL,
        finished_at timestamptz, failed text, rows bigint, bytes bigint, gone_at timestamptz,
        CONSTRAINT archive_runs_finished CHECK (finished_at IS NOT NULL OR num_nonnulls(failed, rows, bytes, gone_at) = 0));
      CREATE UNIQUE INDEX archive_runs_one_at_a_time ON archive_runs ((true)) WHERE finished_at IS NULL;
      COMMENT ON TABLE archive_runs IS 'Archives of everything that the owner asked for.';
      COMMENT ON COLUMN archive_runs.bills IS 'Whether the bills are printed into it.';
      COMMENT ON COLUMN archive_runs.gone_at IS 'When its file was deleted.';
    SQL
  end

  down { run "DROP TABLE archive_runs" }
end
