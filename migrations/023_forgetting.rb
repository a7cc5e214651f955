# frozen_string_literal: true

# A customer may be forgotten: what says who it was goes, also from history. Rows of history are still never rewritten
# for any other reason, nor deleted.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE customers ADD COLUMN forgotten_on date;
      CREATE INDEX customers_kept ON customers (id) WHERE forgotten_on IS NULL;
      CREATE OR REPLACE FUNCTION refuse_rewriting() RETURNS trigger LANGUAGE plpgsql AS
        $$ BEGIN
          IF TG_OP = 'UPDATE' AND TG_TABLE_NAME IN ('answers', 'estimates', 'events') AND current_setting('upright_bench.forgetting', true) = 'yes' THEN
            RETURN NEW;
          END IF;
          RAISE EXCEPTION 'rows of % are history and are never rewritten', TG_TABLE_NAME;
        END $$;
    SQL
  end
end
