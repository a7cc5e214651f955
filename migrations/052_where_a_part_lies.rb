# frozen_string_literal: true

# Where a part lies in the shop, as the shop names it.
Sequel.migration do
  up do
    run "ALTER TABLE parts ADD COLUMN lies_at text " \
        "CONSTRAINT parts_lies_at_length CHECK (length(lies_at) BETWEEN 1 AND 60)"
  end

  down { run "ALTER TABLE parts DROP COLUMN lies_at" }
end
