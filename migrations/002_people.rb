# frozen_string_literal: true

# Staff and their sign-in (the tables that Rodauth's lock-out and active sessions need), the shop and its policies.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE people (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        name text NOT NULL CONSTRAINT people_name_length CHECK (length(name) BETWEEN 1 AND 120),
        email text NOT NULL,
        role text NOT NULL CONSTRAINT people_role CHECK (role IN ('technician', 'counter', 'owner')),
        password_hash text NOT NULL,
        status_id integer NOT NULL DEFAULT 2 CONSTRAINT people_status CHECK (status_id IN (1, 2, 3)),
        room text NOT NULL DEFAULT 'auto' CONSTRAINT people_room CHECK (room IN ('auto', 'light', 'dim')),
        created_at timestamptz NOT NULL DEFAULT now()
      );
      CREATE UNIQUE INDEX people_email ON people (lower(email));

      CREATE TABLE person_login_failures (
        id bigint PRIMARY KEY REFERENCES people, number integer NOT NULL DEFAULT 1);
      CREATE TABLE person_lockouts (
        id bigint PRIMARY KEY REFERENCES people, key text NOT NULL, deadline timestamptz NOT NULL, email_last_sent timestamptz);
      CREATE TABLE person_sessions (
        person_id bigint REFERENCES people, session_id text,
        created_at timestamptz NOT NULL DEFAULT now(), last_use timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (person_id, session_id));

      CREATE TABLE shops (
        id integer PRIMARY KEY CONSTRAINT shops_only_one CHECK (id = 1),
        name text NOT NULL, street text NOT NULL, town text NOT NULL, phone text NOT NULL, email text NOT NULL,
        currency text NOT NULL DEFAULT 'USD');

      CREATE TABLE policies (
        key text PRIMARY KEY, value jsonb NOT NULL,
        changed_by bigint NOT NULL REFERENCES people, changed_at timestamptz NOT NULL DEFAULT now());
    SQL
  end
end
