# frozen_string_literal: true

# What each role may do, where the owner says otherwise than is usual.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE roles (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        name text NOT NULL CONSTRAINT roles_name UNIQUE
          CONSTRAINT roles_known CHECK (name IN ('technician', 'counter', 'look_only')),
        may text[] NOT NULL,
        said_by bigint NOT NULL REFERENCES people, said_at timestamptz NOT NULL);
      COMMENT ON TABLE roles IS 'What a role may do, where the owner said otherwise than is usual.';
    SQL
  end

  down { run "DROP TABLE roles" }
end
