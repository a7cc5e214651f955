# frozen_string_literal: true

# A second factor beside the password: codes of six digits from a phone, and codes to fall back on. Where somebody is
# signed in gets a number, so that one sign-in can be ended. A PIN with which a colleague takes over a shared tablet.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE people ADD COLUMN second_factor boolean NOT NULL DEFAULT false,
        ADD COLUMN pin_hash text;
      COMMENT ON COLUMN people.second_factor IS 'Whether a code from their phone is asked for after the password.';
      COMMENT ON COLUMN people.pin_hash IS 'With which they take over a shared tablet; empty where they have none.';

      CREATE TABLE person_otp_keys (
        id bigint PRIMARY KEY REFERENCES people, key text NOT NULL,
        num_failures integer NOT NULL DEFAULT 0, last_use timestamptz NOT NULL DEFAULT now());
      COMMENT ON TABLE person_otp_keys IS 'What the codes of a phone are computed from (RFC 6238).';
      CREATE TABLE person_recovery_codes (
        id bigint NOT NULL REFERENCES people, code text NOT NULL, PRIMARY KEY (id, code));
      COMMENT ON TABLE person_recovery_codes IS 'Codes for when the phone is lost, each good once.';

      ALTER TABLE person_sessions ADD COLUMN id bigint GENERATED ALWAYS AS IDENTITY CONSTRAINT person_sessions_id UNIQUE,
        ADD COLUMN device text CONSTRAINT person_sessions_device CHECK (length(device) <= 80);
      COMMENT ON COLUMN person_sessions.device IS 'What kind of browser on what kind of device, as it says itself.';

      ALTER TABLE shops ADD COLUMN second_factor_roles text[] NOT NULL DEFAULT '{}'
          CONSTRAINT shops_second_factor_roles CHECK (second_factor_roles <@ ARRAY['technician', 'counter', 'owner', 'look_only']),
        ADD COLUMN pins boolean NOT NULL DEFAULT false;
      COMMENT ON COLUMN shops.second_factor_roles IS 'Roles that have to have a second factor.';
      COMMENT ON COLUMN shops.pins IS 'Whether colleagues take over a shared tablet by a PIN.';
    SQL
  end

  down do
    run <<~SQL
      ALTER TABLE shops DROP COLUMN pins, DROP COLUMN second_factor_roles;
      ALTER TABLE person_sessions DROP COLUMN device, DROP COLUMN id;
      DROP TABLE person_recovery_codes, person_otp_keys;
      ALTER TABLE people DROP COLUMN pin_hash, DROP COLUMN second_factor;
    SQL
  end
end
