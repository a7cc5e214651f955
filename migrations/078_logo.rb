# frozen_string_literal: true

# The shop's logo: a picture in the store, by the digest of what it holds.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE shops ADD COLUMN logo_digest text CONSTRAINT shops_logo_digest CHECK (logo_digest ~ '^[0-9a-f]{64}$');
      COMMENT ON COLUMN shops.logo_digest IS 'The logo that stands on its papers, in the store of pictures; empty without one.';
    SQL
  end

  down { run "ALTER TABLE shops DROP COLUMN logo_digest" }
end
