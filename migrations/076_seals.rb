# frozen_string_literal: true

# The history is sealed, so that a change or a gap in it shows: each seal takes the one before it, what happened, and a
# digest of a salt and the detail. Who is forgotten takes salt and detail along, and the seals still hold.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE events ADD COLUMN address text;
      COMMENT ON COLUMN events.address IS 'From where somebody of the staff did it.';

      CREATE TABLE event_seals (
        number bigint PRIMARY KEY CONSTRAINT event_seals_number CHECK (number > 0),
        event_id bigint NOT NULL CONSTRAINT event_seals_once UNIQUE,
        salt bytea, detail_digest bytea, seal bytea NOT NULL,
        CONSTRAINT event_seals_salt CHECK (num_nonnulls(salt, detail_digest) = 1));
      COMMENT ON TABLE event_seals IS 'A seal for each event, in the order in which they were sealed. Never changed.';
      COMMENT ON COLUMN event_seals.salt IS 'Taken into the digest of the detail; gone with it when somebody is forgotten.';
      COMMENT ON COLUMN event_seals.detail_digest IS 'What is left of a detail that was forgotten.';
      CREATE TRIGGER event_seals_are_history BEFORE UPDATE OR DELETE ON event_seals
        FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();
      CREATE TRIGGER event_seals_are_not_emptied BEFORE TRUNCATE ON event_seals
        FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewriting();

      CREATE OR REPLACE FUNCTION refuse_rewriting() RETURNS trigger LANGUAGE plpgsql AS
        $$ BEGIN
          IF TG_OP = 'UPDATE' AND TG_TABLE_NAME IN ('answers', 'estimates', 'events', 'event_seals', 'bills')
            AND current_setting('upright_bench.forgetting', true) = 'yes' THEN
            RETURN NEW;
          END IF;
          RAISE EXCEPTION 'rows of % are history and are never rewritten', TG_TABLE_NAME;
        END $$;

      CREATE OR REPLACE FUNCTION forget_in_history(customer bigint, word text) RETURNS void
        LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
        DECLARE theirs bigint[];
        BEGIN
          PERFORM set_config('upright_bench.forgetting', 'yes', true);
          UPDATE answers SET note = NULL, address = NULL WHERE card_id IN (SELECT id FROM cards WHERE customer_id = customer);
          UPDATE estimates SET agreed_name = word, warranty_name = CASE WHEN warranty_name IS NULL THEN NULL ELSE word END
            WHERE job_id IN (SELECT id FROM jobs WHERE customer_id = customer);
          -- What was found stays; the rest may hold the person's words or name.
          theirs := ARRAY(SELECT id FROM events WHERE (subject = 'customers' AND subject_id = customer)
            OR (subject = 'cards' AND subject_id IN (SELECT id FROM cards WHERE customer_id = customer))
            OR (subject = 'messages' AND subject_id IN (SELECT messages.id FROM messages JOIN cards ON cards.id = card_id WHERE customer_id = customer))
            OR (subject = 'questions' AND subject_id IN (SELECT questions.id FROM questions JOIN jobs ON jobs.id = job_id WHERE customer_id = customer))
            OR (verb NOT IN ('found', 'cleared finding') AND job_id IN (SELECT id FROM jobs WHERE customer_id = customer)));
          UPDATE event_seals SET detail_digest = sha256(salt || convert_to(events.data::text, 'UTF8')), salt = NULL
            FROM events WHERE events.id = event_id AND event_id = ANY(theirs) AND salt IS NOT NULL;
          UPDATE events SET data = '{}' WHERE id = ANY(theirs);
          PERFORM set_config('upright_bench.forgetting', '', true);
        END $$;
    SQL
  end
end
