# frozen_string_literal: true

# What is put before the customer: an offer with the day it holds until, the customer's questions about it, what is
# taken off and what a card earned; and work that goes beyond the owner's handbook.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE offers (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        job_id bigint NOT NULL REFERENCES jobs, version integer NOT NULL,
        lines jsonb NOT NULL,
        net_cents integer NOT NULL CONSTRAINT offers_net CHECK (net_cents >= 0),
        tax_cents integer NOT NULL CONSTRAINT offers_tax CHECK (tax_cents >= 0),
        total_cents integer NOT NULL,
        ends_warranty text[] NOT NULL DEFAULT '{}',
        valid_until date NOT NULL,
        offered_by bigint NOT NULL REFERENCES people, offered_at timestamptz NOT NULL,
        CONSTRAINT offers_version UNIQUE (job_id, version),
        CONSTRAINT offers_add_up CHECK (total_cents = net_cents + tax_cents));
      CREATE TRIGGER offers_are_history BEFORE UPDATE OR DELETE ON offers FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();

      -- What was agreed holds for its job; what lapses is the offer. A customer who agrees on the page writes it down alone.
      ALTER TABLE estimates DROP COLUMN valid_until, ALTER COLUMN written_by DROP NOT NULL,
        ADD COLUMN offer_id bigint REFERENCES offers,
        DROP CONSTRAINT estimates_agreed_how,
        ADD CONSTRAINT estimates_agreed_how CHECK (agreed_how IN ('counter', 'phone', 'message', 'page')),
        ADD CONSTRAINT estimates_written_by_name CHECK ((agreed_how = 'page') = (written_by IS NULL));
      ALTER TABLE jobs DROP CONSTRAINT jobs_agreed_how,
        ADD CONSTRAINT jobs_agreed_how CHECK (agreed_how IN ('counter', 'phone', 'message', 'page')),
        ADD COLUMN discount_percent numeric(5, 2) CONSTRAINT jobs_discount CHECK (discount_percent > 0 AND discount_percent <= 100),
        ADD COLUMN discount_reason text CONSTRAINT jobs_discount_reason_length CHECK (length(discount_reason) BETWEEN 1 AND 200),
        ADD CONSTRAINT jobs_discount_has_reason CHECK ((discount_percent IS NULL) = (discount_reason IS NULL));

      CREATE TABLE questions (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        job_id bigint NOT NULL REFERENCES jobs,
        asked text NOT NULL CONSTRAINT questions_asked_length CHECK (length(asked) BETWEEN 1 AND 500), asked_at timestamptz NOT NULL,
        reply text CONSTRAINT questions_reply_length CHECK (length(reply) BETWEEN 1 AND 500),
        replied_by bigint REFERENCES people, replied_at timestamptz,
        CONSTRAINT questions_replied_by_name CHECK (num_nonnulls(reply, replied_by, replied_at) IN (0, 3)));
      CREATE INDEX questions_job ON questions (job_id, id);
      CREATE UNIQUE INDEX questions_asked_twice_is_once ON questions (job_id, md5(asked)) WHERE reply IS NULL;

      -- A card earns once, and a job takes one.
      CREATE TABLE earnings (
        card_id bigint PRIMARY KEY REFERENCES cards,
        job_id bigint NOT NULL REFERENCES jobs CONSTRAINT earnings_one_a_job UNIQUE,
        minutes integer NOT NULL CONSTRAINT earnings_minutes CHECK (minutes > 0), earned_at timestamptz NOT NULL);

      ALTER TABLE work_items ADD COLUMN goes_back text[] NOT NULL DEFAULT '{}';
    SQL
  end
end
