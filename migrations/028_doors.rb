# frozen_string_literal: true

# Who did something is always said; a role that may only look; tries to sign in are counted by account and address
# together, and for all web processes in one place.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE people DROP CONSTRAINT people_role,
        ADD CONSTRAINT people_role CHECK (role IN ('technician', 'counter', 'owner', 'look_only'));

      -- Not asked of rows that are there: they say "customer" and stay as they are.
      ALTER TABLE events ADD CONSTRAINT events_actor
        CHECK (person_id IS NOT NULL OR actor ~ '^(customer by |mail program by |sign-in page$)') NOT VALID;

      DROP TABLE person_login_failures, person_lockouts;

      -- `key` is a digest: neither what was typed nor from where can be read from it.
      CREATE TABLE sign_in_tries (
        key text PRIMARY KEY, failures integer NOT NULL CONSTRAINT sign_in_tries_failures CHECK (failures > 0),
        last_at timestamptz NOT NULL, next_at timestamptz NOT NULL);
      CREATE INDEX sign_in_tries_last ON sign_in_tries (last_at);

      -- Counters that forget; lost with a crash, which costs nothing.
      CREATE UNLOGGED TABLE throttle_counts (key text PRIMARY KEY, count integer NOT NULL, ends_at timestamptz NOT NULL);
    SQL
  end
end
