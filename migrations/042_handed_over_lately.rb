# frozen_string_literal: true

# Who was here lately is asked whenever cards are written.
Sequel.migration do
  up { run "CREATE INDEX jobs_handed_over ON jobs (handed_over_at) WHERE handed_over_at IS NOT NULL" }

  down { run "DROP INDEX jobs_handed_over" }
end
