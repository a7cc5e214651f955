# frozen_string_literal: true

# How far a file of customers was looked through stands with it, so that a job that runs twice looks at no row twice.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE customer_imports ADD COLUMN checked_line integer NOT NULL DEFAULT 0;
      COMMENT ON COLUMN customer_imports.checked_line IS 'The last line that was looked through.';
    SQL
  end

  down { run "ALTER TABLE customer_imports DROP COLUMN checked_line" }
end
