# frozen_string_literal: true

# The plan of the bench that stands, and how many promises are to be kept instead of a fixed time to spare.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE bench_plans (
        id boolean PRIMARY KEY DEFAULT true CONSTRAINT bench_plans_one CHECK (id),
        made_at timestamptz,
        steps jsonb NOT NULL DEFAULT '[]' CONSTRAINT bench_plans_steps CHECK (jsonb_typeof(steps) = 'array'),
        shares jsonb NOT NULL DEFAULT '{}' CONSTRAINT bench_plans_shares CHECK (jsonb_typeof(shares) = 'object'));
      COMMENT ON TABLE bench_plans IS 'The plan of the bench that stands, in one row: who does what of which job when, and how sure each promise is.';
      INSERT INTO bench_plans DEFAULT VALUES;
      DELETE FROM policies WHERE key = 'promise_buffer_minutes';
    SQL
  end

  down { run "DROP TABLE bench_plans" }
end
