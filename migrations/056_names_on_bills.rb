# frozen_string_literal: true

# Names on the bills of forgotten customers go when the law no longer asks for them.
Sequel.migration do
  up do
    run <<~SQL
      CREATE OR REPLACE FUNCTION refuse_rewriting() RETURNS trigger LANGUAGE plpgsql AS
        $$ BEGIN
          IF TG_OP = 'UPDATE' AND TG_TABLE_NAME IN ('answers', 'estimates', 'events', 'bills')
            AND current_setting('upright_bench.forgetting', true) = 'yes' THEN
            RETURN NEW;
          END IF;
          RAISE EXCEPTION 'rows of % are history and are never rewritten', TG_TABLE_NAME;
        END $$;
      CREATE FUNCTION blank_old_bills(until date) RETURNS void
        LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
        BEGIN
          PERFORM set_config('upright_bench.forgetting', 'yes', true);
          UPDATE bills SET billed_to = '[]' WHERE issued_on <= until AND billed_to <> '[]'
            AND customer_id IN (SELECT id FROM customers WHERE forgotten_on IS NOT NULL);
          PERFORM set_config('upright_bench.forgetting', '', true);
        END $$;
      REVOKE ALL ON FUNCTION blank_old_bills(date) FROM PUBLIC;
    SQL
  end

  down { run "DROP FUNCTION blank_old_bills(date)" }
end
