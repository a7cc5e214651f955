# frozen_string_literal: true

# Cards leave in batches, which are paused, gone on with or cancelled as one. A line of a card that never reached
# anybody is void, so that its task may be on another card. What was queued one by one before is handed over by its
# batch.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE batches (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        state text NOT NULL DEFAULT 'writing' CONSTRAINT batches_state CHECK (state IN ('writing', 'leaving', 'paused', 'done', 'cancelled')),
        until_on date NOT NULL, at_once boolean NOT NULL DEFAULT false,
        chosen bigint[], without bigint[] NOT NULL DEFAULT '{}', expected integer NOT NULL DEFAULT 0, written_at timestamptz, left_out jsonb NOT NULL DEFAULT '{}',
        created_by bigint NOT NULL REFERENCES people, created_at timestamptz NOT NULL, finished_at timestamptz,
        CONSTRAINT batches_finished CHECK ((state IN ('done', 'cancelled')) = (finished_at IS NOT NULL)));

      CREATE TABLE bonuses (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        minutes integer NOT NULL CONSTRAINT bonuses_minutes CHECK (minutes BETWEEN 1 AND 240),
        starts_on date NOT NULL, ends_on date NOT NULL,
        channel text CONSTRAINT bonuses_channel CHECK (channel IN ('email', 'text', 'post', 'phone')),
        first_only boolean NOT NULL DEFAULT false, fleets boolean NOT NULL DEFAULT false,
        ended_at timestamptz, created_by bigint NOT NULL REFERENCES people, created_at timestamptz NOT NULL,
        CONSTRAINT bonuses_days CHECK (starts_on <= ends_on));

      ALTER TABLE cards ADD COLUMN batch_id bigint REFERENCES batches, ADD COLUMN bonus_id bigint REFERENCES bonuses,
        ADD COLUMN calls integer NOT NULL DEFAULT 0, ADD COLUMN called_at timestamptz;
      ALTER TABLE messages ADD COLUMN batch_id bigint REFERENCES batches, ADD COLUMN leaves_on date, ADD COLUMN next_try_at timestamptz,
        DROP CONSTRAINT messages_state,
        ADD CONSTRAINT messages_state CHECK (state IN ('queued', 'handing_over', 'handed_over', 'failed', 'unsure', 'given_up', 'rejected', 'bounced', 'withdrawn')),
        DROP CONSTRAINT messages_handed_over,
        ADD CONSTRAINT messages_handed_over CHECK ((state IN ('handed_over', 'bounced')) = (handed_over_at IS NOT NULL));

      WITH batch AS (
        INSERT INTO batches (state, until_on, created_by, created_at, written_at)
          SELECT 'leaving', max(created_at)::date, max(created_by), max(created_at), max(created_at) FROM cards HAVING count(*) > 0 RETURNING id)
        UPDATE cards SET batch_id = batch.id FROM batch;
      UPDATE messages SET batch_id = cards.batch_id, leaves_on = cards.created_at::date FROM cards WHERE cards.id = messages.card_id;
      SET CONSTRAINTS ALL IMMEDIATE;
      ALTER TABLE cards ALTER COLUMN batch_id SET NOT NULL;
      ALTER TABLE messages ALTER COLUMN batch_id SET NOT NULL, ALTER COLUMN leaves_on SET NOT NULL;
      CREATE INDEX messages_batch ON messages (batch_id, id);
      DROP INDEX messages_open;
      CREATE INDEX messages_to_leave ON messages (batch_id, channel, leaves_on, id) WHERE state IN ('queued', 'handing_over', 'failed');
      CREATE INDEX messages_to_call ON messages (handed_over_at) WHERE channel = 'phone' AND state = 'handed_over';
      CREATE INDEX messages_for_a_person ON messages (id) WHERE state IN ('unsure', 'given_up');

      ALTER TABLE card_lines ADD COLUMN void boolean NOT NULL DEFAULT false, ADD COLUMN leaves_on date, DROP CONSTRAINT card_lines_once;
      UPDATE card_lines SET leaves_on = cards.created_at::date FROM cards WHERE cards.id = card_id;
      ALTER TABLE card_lines ALTER COLUMN leaves_on SET NOT NULL;
      CREATE UNIQUE INDEX card_lines_once ON card_lines (due_id, attempt) WHERE NOT void;
      SET CONSTRAINTS ALL IMMEDIATE;

      -- How often a due was on a card that reached somebody, and when it last left: counted here, so that a batch is chosen by one look
      -- at an index however many cards there ever were.
      ALTER TABLE dues ADD COLUMN attempts integer NOT NULL DEFAULT 0 CONSTRAINT dues_attempts CHECK (attempts >= 0), ADD COLUMN carded_on date;
      CREATE FUNCTION count_cards_of_dues() RETURNS trigger LANGUAGE plpgsql AS $$
        BEGIN
          UPDATE dues SET attempts = counted.attempts, carded_on = counted.carded_on FROM (
            SELECT changed.due_id, coalesce(max(lines.attempt), 0) AS attempts, max(lines.leaves_on) AS carded_on
            FROM (SELECT DISTINCT due_id FROM changed) AS changed LEFT JOIN card_lines AS lines ON lines.due_id = changed.due_id AND NOT lines.void
            GROUP BY changed.due_id) AS counted
          WHERE dues.id = counted.due_id;
          RETURN NULL;
        END $$;
      CREATE TRIGGER card_lines_added AFTER INSERT ON card_lines REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION count_cards_of_dues();
      CREATE TRIGGER card_lines_changed AFTER UPDATE ON card_lines REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION count_cards_of_dues();
      CREATE TRIGGER card_lines_gone AFTER DELETE ON card_lines REFERENCING OLD TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION count_cards_of_dues();
      UPDATE dues SET attempts = counted.attempts, carded_on = counted.carded_on
        FROM (SELECT due_id, max(attempt) AS attempts, max(leaves_on) AS carded_on FROM card_lines WHERE NOT void GROUP BY due_id) AS counted WHERE dues.id = counted.due_id;
      DROP INDEX dues_open_by_date;
      CREATE INDEX dues_to_card ON dues (attempts, due_on) WHERE state = 'open' AND may_card IS TRUE;

      ALTER TABLE answers ADD COLUMN written_by bigint REFERENCES people;

      CREATE TABLE visits (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        customer_id bigint NOT NULL REFERENCES customers, card_id bigint REFERENCES cards,
        drop_off_on date NOT NULL,
        state text NOT NULL DEFAULT 'booked' CONSTRAINT visits_state CHECK (state IN ('booked', 'came', 'called_off')),
        booked_by bigint REFERENCES people, booked_at timestamptz NOT NULL);
      CREATE UNIQUE INDEX visits_one_booked ON visits (customer_id) WHERE state = 'booked';
      CREATE INDEX visits_booked ON visits (drop_off_on) WHERE state = 'booked';

      DELETE FROM que_jobs WHERE job_class = 'UprightBench::Outbox::DeliverMessage';
      INSERT INTO que_jobs (job_class, args, job_schema_version) SELECT 'UprightBench::Outbox::SendBatch', jsonb_build_array(id), 2 FROM batches WHERE state = 'leaving';
    SQL
  end
end
