# frozen_string_literal: true

# Ordering: what the shelf will need, what was ordered and what came of it; counting by scans; parts that came in as a
# file.
Sequel.migration do
  up do
    run <<~SQL
      CREATE SEQUENCE supplier_order_numbers START 201;
      CREATE TABLE supplier_orders (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        number bigint NOT NULL DEFAULT nextval('supplier_order_numbers') CONSTRAINT supplier_orders_number UNIQUE,
        supplier_id bigint NOT NULL REFERENCES suppliers,
        ordered_by bigint NOT NULL REFERENCES people, ordered_at timestamptz NOT NULL,
        closed_by bigint REFERENCES people, closed_at timestamptz,
        request_key uuid NOT NULL CONSTRAINT supplier_orders_once UNIQUE,
        CONSTRAINT supplier_orders_closed_by_name CHECK ((closed_at IS NULL) = (closed_by IS NULL)));
      CREATE INDEX supplier_orders_open ON supplier_orders (id) WHERE closed_at IS NULL;
      CREATE INDEX supplier_orders_supplier ON supplier_orders (supplier_id);
      CREATE TABLE order_lines (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        order_id bigint NOT NULL REFERENCES supplier_orders, part_id bigint NOT NULL REFERENCES parts,
        pieces integer NOT NULL CONSTRAINT order_lines_pieces CHECK (pieces > 0),
        cost_cents integer CONSTRAINT order_lines_cost CHECK (cost_cents >= 0),
        CONSTRAINT order_lines_once UNIQUE (order_id, part_id));
      CREATE INDEX order_lines_part ON order_lines (part_id);

      ALTER TABLE stock_moves ADD COLUMN order_line_id bigint REFERENCES order_lines,
        ADD CONSTRAINT stock_moves_ordered CHECK (order_line_id IS NULL OR kind = 'received');
      CREATE INDEX stock_moves_order_line ON stock_moves (order_line_id) WHERE order_line_id IS NOT NULL;
      CREATE INDEX stock_moves_used ON stock_moves (moved_at) WHERE kind = 'used';
      CREATE INDEX jobs_customer ON jobs (customer_id, taken_in_at);
      ALTER TABLE parts ADD COLUMN learned_lead_days integer CONSTRAINT parts_learned_lead_days CHECK (learned_lead_days >= 0);
      ALTER TABLE suppliers ADD COLUMN learned_lead_days integer CONSTRAINT suppliers_learned_lead_days CHECK (learned_lead_days >= 0);

      CREATE TABLE forecast_runs (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        asked_by bigint REFERENCES people, asked_at timestamptz NOT NULL, finished_at timestamptz);
      CREATE UNIQUE INDEX forecast_runs_one_at_a_time ON forecast_runs ((true)) WHERE finished_at IS NULL;
      CREATE TABLE part_forecasts (
        part_id bigint PRIMARY KEY REFERENCES parts,
        days integer NOT NULL, from_dues real NOT NULL, from_walk_ins real NOT NULL,
        level integer NOT NULL CONSTRAINT part_forecasts_level CHECK (level >= 0),
        weeks real[] NOT NULL, walk_ins_a_week real NOT NULL, tasks integer NOT NULL);

      CREATE TABLE counts (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        begun_by bigint NOT NULL REFERENCES people, begun_at timestamptz NOT NULL,
        closed_by bigint REFERENCES people, closed_at timestamptz, written boolean,
        CONSTRAINT counts_closed_by_name CHECK (num_nonnulls(closed_by, closed_at, written) IN (0, 3)));
      CREATE UNIQUE INDEX counts_one_at_a_time ON counts ((true)) WHERE closed_at IS NULL;
      -- What should have lain there is kept beside what was counted, as it was at that moment: what moves on later stays moved.
      CREATE TABLE count_lines (
        count_id bigint NOT NULL REFERENCES counts, part_id bigint NOT NULL REFERENCES parts,
        pieces integer NOT NULL CONSTRAINT count_lines_pieces CHECK (pieces BETWEEN 0 AND 99999),
        level_pieces integer NOT NULL,
        counted_by bigint NOT NULL REFERENCES people, counted_at timestamptz NOT NULL,
        PRIMARY KEY (count_id, part_id));

      ALTER TABLE parts DROP CONSTRAINT parts_filter_class,
        ADD CONSTRAINT parts_filter_class CHECK (filter_class IN ('E10', 'E11', 'E12', 'H13', 'H14', 'U15', 'U16', 'U17'));
      CREATE TABLE part_imports (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        content text NOT NULL, given_by bigint NOT NULL REFERENCES people, given_at timestamptz NOT NULL, applied_at timestamptz);
    SQL
  end
end
