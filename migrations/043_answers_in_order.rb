# frozen_string_literal: true

# Answers are read by when they were given: one that is recorded later stands where it belongs.
Sequel.migration do
  up { run "CREATE INDEX answers_in_order ON answers (answered_at, id)" }
  down { run "DROP INDEX answers_in_order" }
end
