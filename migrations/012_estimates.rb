# frozen_string_literal: true

# What was offered and what was agreed. An estimate's lines never change; a changed offer is a new one, and agreed anew.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE estimates (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        job_id bigint NOT NULL REFERENCES jobs, version integer NOT NULL,
        lines jsonb NOT NULL,
        net_cents integer NOT NULL CONSTRAINT estimates_net CHECK (net_cents >= 0),
        tax_cents integer NOT NULL CONSTRAINT estimates_tax CHECK (tax_cents >= 0),
        total_cents integer NOT NULL,
        call_above_cents integer CONSTRAINT estimates_call_above CHECK (call_above_cents >= 0),
        valid_until date NOT NULL,
        agreed_name text NOT NULL CONSTRAINT estimates_agreed_name CHECK (length(agreed_name) BETWEEN 1 AND 120),
        agreed_how text NOT NULL CONSTRAINT estimates_agreed_how CHECK (agreed_how IN ('counter', 'phone', 'message')),
        warranty_name text CONSTRAINT estimates_warranty_name CHECK (length(warranty_name) BETWEEN 1 AND 120),
        agreed_at timestamptz NOT NULL, written_by bigint NOT NULL REFERENCES people,
        CONSTRAINT estimates_version UNIQUE (job_id, version),
        CONSTRAINT estimates_add_up CHECK (total_cents = net_cents + tax_cents));
      CREATE TRIGGER estimates_are_history BEFORE UPDATE OR DELETE ON estimates FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();

      ALTER TABLE work_items ADD COLUMN covered boolean NOT NULL DEFAULT false;
    SQL
  end
end
