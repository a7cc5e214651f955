# frozen_string_literal: true

# What a postal address is made of beside street and town. A customer without a country lives in the shop's.
Sequel.migration do
  up do
    %w[customers shops].each do |table|
      run <<~SQL
        ALTER TABLE #{table}
          ADD COLUMN region text CONSTRAINT #{table}_region_length CHECK (length(region) BETWEEN 1 AND 60),
          ADD COLUMN postcode text CONSTRAINT #{table}_postcode_length CHECK (length(postcode) BETWEEN 1 AND 20),
          ADD COLUMN country text CONSTRAINT #{table}_country_code CHECK (country ~ '^[A-Z]{2}$')
      SQL
    end
  end

  down do
    %w[customers shops].each do |table|
      run "ALTER TABLE #{table} DROP COLUMN region, DROP COLUMN postcode, DROP COLUMN country"
    end
  end
end
