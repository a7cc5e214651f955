# frozen_string_literal: true

# What the reasons of a date were made of, as a number: when dates are computed again, the sentences need not be read
# to know that they still say the same. Where there is none yet, they are written once more.
Sequel.migration do
  up do
    run "ALTER TABLE dues ADD COLUMN reasons_mark bigint"
  end
end
