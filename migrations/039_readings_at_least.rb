# frozen_string_literal: true

# A strip that is full says that its hours were used at least; so does a grade at the end of its scale. Of strips that
# were read before, those that stood at all their hours are taken so.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE use_readings ADD COLUMN at_least boolean NOT NULL DEFAULT false;
      UPDATE use_readings SET at_least = true FROM findings
      WHERE findings.job_id = use_readings.job_id AND findings.position = use_readings.position
        AND use_readings.kind = 'strip' AND (findings.observed ->> 'indicator_percent')::numeric >= 100;
      ALTER TABLE findings ADD COLUMN wear_at_least boolean NOT NULL DEFAULT false;
    SQL
  end

  down do
    run "ALTER TABLE use_readings DROP COLUMN at_least"
    run "ALTER TABLE findings DROP COLUMN wear_at_least"
  end
end
