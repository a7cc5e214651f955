# frozen_string_literal: true

# What was learned at each place of a machine, drawn from the findings of all its visits and kept beside them, so that
# the dates of many thousand machines can be computed again without reading all that was ever found.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE learned (
        machine_id bigint NOT NULL REFERENCES machines, position text NOT NULL,
        ratios real[] NOT NULL DEFAULT '{}', strip_percent integer, strip_at timestamptz,
        PRIMARY KEY (machine_id, position),
        CONSTRAINT learned_strip CHECK ((strip_percent IS NULL) = (strip_at IS NULL)));
      INSERT INTO learned (machine_id, position, ratios, strip_percent, strip_at)
      SELECT jobs.machine_id, position,
             coalesce((array_agg(load_found / load_expected ORDER BY job_id DESC) FILTER (WHERE load_found > 0 AND load_expected >= 0.25))[1:12], '{}'),
             (array_agg((observed ->> 'indicator_percent')::integer ORDER BY job_id DESC) FILTER (WHERE observed ->> 'indicator_percent' IS NOT NULL))[1],
             (array_agg(found_at ORDER BY job_id DESC) FILTER (WHERE observed ->> 'indicator_percent' IS NOT NULL))[1]
      FROM findings JOIN jobs ON jobs.id = findings.job_id
      WHERE (load_found > 0 AND load_expected >= 0.25) OR observed ->> 'indicator_percent' IS NOT NULL
      GROUP BY jobs.machine_id, position;
    SQL
  end
end
