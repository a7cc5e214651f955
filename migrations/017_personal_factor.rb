# frozen_string_literal: true

# How much of a due date is the household's own: what was found later is compared with the interval as it would be
# without.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE dues ADD COLUMN personal numeric(4, 3) NOT NULL DEFAULT 1
        CONSTRAINT dues_personal CHECK (personal BETWEEN 0.5 AND 2);
    SQL
  end
end
