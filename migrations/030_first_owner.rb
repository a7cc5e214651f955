# frozen_string_literal: true

# The one-time address by which a shop's first owner makes their account: one at a time, kept as a digest.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE first_keys (
        id integer PRIMARY KEY DEFAULT 1 CONSTRAINT first_keys_only_one CHECK (id = 1),
        digest text NOT NULL, made_at timestamptz NOT NULL, used_at timestamptz);
    SQL
  end
end
