# frozen_string_literal: true

# A first password, or one that was given anew, is changed by whoever gets it before anything else.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE people ADD COLUMN password_given boolean NOT NULL DEFAULT false;
      COMMENT ON COLUMN people.password_given IS 'Their password was given to them, and has to be changed at the next sign-in.';
    SQL
  end

  down { run "ALTER TABLE people DROP COLUMN password_given" }
end
