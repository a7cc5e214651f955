# frozen_string_literal: true

# What decided a date is one of the kinds of clock, or says that none did.
Sequel.migration do
  up do
    run "ALTER TABLE dues ADD CONSTRAINT dues_deciding CHECK " \
        "(deciding IN ('hours', 'months', 'count', 'indicator', 'unknown', 'none'))"
  end

  down { run "ALTER TABLE dues DROP CONSTRAINT dues_deciding" }
end
