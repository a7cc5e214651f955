# frozen_string_literal: true

# What a shelf knows of a part beyond its price: who made it and who supplies it, what takes its place, what it needs
# and what comes out for it; and the lookups that find a part among tens of thousands.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE suppliers (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        name text NOT NULL CONSTRAINT suppliers_name UNIQUE CONSTRAINT suppliers_name_length CHECK (length(name) BETWEEN 1 AND 120),
        email text CONSTRAINT suppliers_email_length CHECK (length(email) <= 200),
        lead_days integer NOT NULL DEFAULT 7 CONSTRAINT suppliers_lead_days CHECK (lead_days BETWEEN 0 AND 365));

      ALTER TABLE parts
        ADD COLUMN maker text CONSTRAINT parts_maker_length CHECK (length(maker) <= 60),
        ADD COLUMN needs jsonb NOT NULL DEFAULT '{}',
        ADD COLUMN takes_out text[] NOT NULL DEFAULT '{}',
        ADD COLUMN successor_id bigint REFERENCES parts CONSTRAINT parts_not_its_own_successor CHECK (successor_id <> id),
        ADD COLUMN discontinued boolean NOT NULL DEFAULT false,
        ADD COLUMN supplier_id bigint REFERENCES suppliers,
        ADD COLUMN lead_days integer CONSTRAINT parts_lead_days CHECK (lead_days BETWEEN 0 AND 365),
        ADD COLUMN pack_pieces integer NOT NULL DEFAULT 1 CONSTRAINT parts_pack CHECK (pack_pieces BETWEEN 1 AND 1000),
        ADD COLUMN cost_cents integer CONSTRAINT parts_cost CHECK (cost_cents >= 0),
        ADD COLUMN barcode text CONSTRAINT parts_barcode UNIQUE CONSTRAINT parts_barcode_digits CHECK (barcode ~ '^[0-9]{13}$');
      CREATE INDEX parts_successor ON parts (successor_id) WHERE successor_id IS NOT NULL;
      CREATE INDEX parts_supplier ON parts (supplier_id);
      CREATE INDEX parts_length ON parts (kind, ((measures ->> 'length_mm')::numeric));
      CREATE INDEX parts_diameter ON parts (kind, ((measures ->> 'diameter_mm')::numeric));
      CREATE INDEX parts_words_trgm ON parts USING gin (plain_text(number || ' ' || name) gin_trgm_ops);

      DROP INDEX fit_rules_position;
      CREATE INDEX fit_rules_model ON fit_rules (position, model_title text_pattern_ops);
      CREATE INDEX fit_rules_family ON fit_rules (position, family) WHERE family IS NOT NULL;
      CREATE INDEX fit_rules_by_model ON fit_rules (model_title);
    SQL
  end
end
