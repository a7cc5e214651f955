# frozen_string_literal: true

# Who bills whom, field by field, as an e-bill asks for it; kept with the bill as it was then.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE bills ADD COLUMN parties jsonb NOT NULL DEFAULT '{}', ADD COLUMN rates jsonb NOT NULL DEFAULT '{}';
      COMMENT ON COLUMN bills.rates IS 'The rate of tax of each kind of line.';
      COMMENT ON COLUMN bills.parties IS 'Seller and buyer field by field: name, street, town, postcode, country, tax number.';
      CREATE OR REPLACE FUNCTION blank_old_bills(until date) RETURNS void
        LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
        BEGIN
          PERFORM set_config('upright_bench.forgetting', 'yes', true);
          UPDATE bills SET billed_to = '[]', parties = parties - 'buyer' WHERE issued_on <= until AND billed_to <> '[]'
            AND customer_id IN (SELECT id FROM customers WHERE forgotten_on IS NOT NULL);
          PERFORM set_config('upright_bench.forgetting', '', true);
        END $$;
    SQL
  end

  down { run "ALTER TABLE bills DROP COLUMN parties, DROP COLUMN rates" }
end
