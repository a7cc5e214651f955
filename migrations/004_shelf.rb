# frozen_string_literal: true

# Parts, where they fit, and stock as moves. The level beside the moves is kept by a trigger and carries the
# lock and the check: two jobs cannot take the last one.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE parts (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        number text NOT NULL CONSTRAINT parts_number UNIQUE,
        name text NOT NULL, kind text NOT NULL,
        attributes jsonb NOT NULL DEFAULT '{}', measures jsonb NOT NULL DEFAULT '{}', contents jsonb NOT NULL DEFAULT '{}',
        filter_class text CONSTRAINT parts_filter_class CHECK (filter_class IN ('E11', 'E12', 'H13', 'H14', 'U15')),
        pattern boolean NOT NULL DEFAULT false,
        price_cents integer NOT NULL CONSTRAINT parts_price CHECK (price_cents >= 0),
        life_months integer CONSTRAINT parts_life CHECK (life_months > 0),
        created_by bigint NOT NULL REFERENCES people, created_at timestamptz NOT NULL DEFAULT now());

      CREATE TABLE fit_rules (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        part_id bigint NOT NULL REFERENCES parts,
        position text NOT NULL, model_title text, family text, body_style text, plate_from text, plate_to text,
        CONSTRAINT fit_rules_level CHECK (num_nonnulls(model_title, family) = 1));
      CREATE INDEX fit_rules_part ON fit_rules (part_id);
      CREATE INDEX fit_rules_position ON fit_rules (position);

      CREATE TABLE stock_levels (
        part_id bigint PRIMARY KEY REFERENCES parts,
        pieces integer NOT NULL CONSTRAINT stock_never_below_zero CHECK (pieces >= 0));
      CREATE TABLE stock_moves (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        part_id bigint NOT NULL REFERENCES parts,
        pieces integer NOT NULL CONSTRAINT stock_moves_move CHECK (pieces <> 0),
        kind text NOT NULL CONSTRAINT stock_moves_kind CHECK (kind IN ('received', 'used', 'returned', 'counted')),
        job_id bigint, reason text,
        moved_by bigint NOT NULL REFERENCES people, moved_at timestamptz NOT NULL DEFAULT now(),
        request_key uuid CONSTRAINT stock_moves_once UNIQUE,
        CONSTRAINT stock_moves_count_has_reason CHECK (kind <> 'counted' OR reason IS NOT NULL));
      CREATE INDEX stock_moves_part ON stock_moves (part_id, id);
      CREATE TRIGGER stock_moves_are_history BEFORE UPDATE OR DELETE ON stock_moves
        FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();

      -- Updated first and inserted only when new: an upsert would check the constraint on the moved pieces alone.
      CREATE FUNCTION move_stock() RETURNS trigger LANGUAGE plpgsql AS $$
        BEGIN
          UPDATE stock_levels SET pieces = pieces + NEW.pieces WHERE part_id = NEW.part_id;
          IF NOT FOUND THEN INSERT INTO stock_levels (part_id, pieces) VALUES (NEW.part_id, NEW.pieces); END IF;
          RETURN NULL;
        END $$;
      CREATE TRIGGER stock_moves_move_stock AFTER INSERT ON stock_moves FOR EACH ROW EXECUTE FUNCTION move_stock();
    SQL
  end
end
