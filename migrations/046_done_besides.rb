# frozen_string_literal: true

# What is done at a place besides its verdict: its seat checked, a foreign thing taken out.
Sequel.migration do
  up do
    run "ALTER TABLE findings ADD COLUMN also text[] NOT NULL DEFAULT '{}' " \
        "CONSTRAINT findings_also CHECK (also <@ ARRAY['clean'])"
  end

  down { run "ALTER TABLE findings DROP COLUMN also" }
end
