# frozen_string_literal: true

# How much the days scatter that a part takes to come.
Sequel.migration do
  up do
    %i[parts suppliers].each do |table|
      run "ALTER TABLE #{table} ADD COLUMN learned_lead_spread_days numeric(6, 2) " \
          "CONSTRAINT #{table}_learned_lead_spread_days CHECK (learned_lead_spread_days >= 0)"
    end
  end

  down { %i[parts suppliers].each { |table| run "ALTER TABLE #{table} DROP COLUMN learned_lead_spread_days" } }
end
