# frozen_string_literal: true

# Passkeys: keys that stay in somebody's device, with which they sign in instead of by password and code.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE person_passkeys (
        webauthn_id text PRIMARY KEY, person_id bigint NOT NULL REFERENCES people,
        public_key text NOT NULL, sign_count bigint NOT NULL,
        device text CONSTRAINT person_passkeys_device CHECK (length(device) <= 80),
        added_at timestamptz NOT NULL DEFAULT now(), last_use timestamptz NOT NULL DEFAULT now());
      COMMENT ON TABLE person_passkeys IS 'Public keys of the devices with which somebody signs in (W3C Web Authentication).';
      CREATE INDEX person_passkeys_person ON person_passkeys (person_id);
      CREATE TABLE person_passkey_users (
        id bigint PRIMARY KEY REFERENCES people, webauthn_id text NOT NULL UNIQUE);
      COMMENT ON TABLE person_passkey_users IS 'By which their devices know somebody: a number without a meaning.';
    SQL
  end

  down do
    run "DROP TABLE person_passkey_users, person_passkeys"
  end
end
