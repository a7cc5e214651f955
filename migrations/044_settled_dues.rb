# frozen_string_literal: true

# What was due when a machine was here, and what was said about it before it left.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE settled_dues (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        job_id bigint NOT NULL REFERENCES jobs,
        position text NOT NULL,
        task text NOT NULL,
        action text NOT NULL CONSTRAINT settled_dues_action CHECK (action IN ('clean', 'wash', 'replace')),
        due_on date NOT NULL,
        choice text NOT NULL CONSTRAINT settled_dues_choice CHECK (choice IN ('now', 'good', 'left')),
        chosen_by bigint REFERENCES people,
        chosen_at timestamptz NOT NULL,
        CONSTRAINT settled_dues_once UNIQUE (job_id, position, task));
      COMMENT ON TABLE settled_dues IS 'What was due when a machine was here: done now, still good, or left by the customer.';
    SQL
  end

  down { run "DROP TABLE settled_dues" }
end
