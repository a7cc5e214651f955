# frozen_string_literal: true

# A password that was given is good for some days: a slip of paper with it may be found later.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE people ADD COLUMN password_given_at timestamptz;
      COMMENT ON COLUMN people.password_given_at IS 'When their password was given to them; it runs out some days later.';
      UPDATE people SET password_given_at = now() WHERE password_given;
    SQL
  end

  down { run "ALTER TABLE people DROP COLUMN password_given_at" }
end
