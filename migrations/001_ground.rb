# frozen_string_literal: true

# Search without accents, and tables whose rows are history and are never rewritten.
Sequel.migration do
  up do
    run <<~SQL
      CREATE EXTENSION IF NOT EXISTS pg_trgm;
      CREATE EXTENSION IF NOT EXISTS unaccent;

      -- unaccent is only STABLE because its dictionary could change; ours never does, so it may be indexed.
      CREATE FUNCTION plain_text(value text) RETURNS text LANGUAGE sql IMMUTABLE PARALLEL SAFE STRICT AS
        $$ SELECT lower(public.unaccent('public.unaccent', value)) $$;

      CREATE FUNCTION refuse_rewriting() RETURNS trigger LANGUAGE plpgsql AS
        $$ BEGIN RAISE EXCEPTION 'rows of % are history and are never rewritten', TG_TABLE_NAME; END $$;
    SQL
  end
end
