# frozen_string_literal: true

# What the part that a line names cost when the card was written, tax included; null where no text says it.
Sequel.migration do
  up do
    run "ALTER TABLE card_lines ADD COLUMN price_cents integer " \
        "CONSTRAINT card_lines_price_not_negative CHECK (price_cents >= 0)"
  end

  down { run "ALTER TABLE card_lines DROP COLUMN price_cents" }
end
