# frozen_string_literal: true

# What a shop of ten years needs to find quickly: all that was ever fitted in a machine, for its page.
Sequel.migration do
  up do
    run <<~SQL
      CREATE INDEX fittings_machine ON fittings (machine_id, position, id);
    SQL
  end
end
