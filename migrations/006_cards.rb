# frozen_string_literal: true

# Dues, cards, what was sent and what came back. card_lines_once is the promise that one task and cycle
# is never on two first cards, whatever crashes or runs twice.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE dues (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        machine_id bigint NOT NULL REFERENCES machines, position text NOT NULL, position_name text NOT NULL, task text NOT NULL,
        action text NOT NULL, cycle integer NOT NULL DEFAULT 1 CONSTRAINT dues_cycle CHECK (cycle > 0),
        started_on date, due_on date, early_on date, late_on date, deciding text NOT NULL, reasons jsonb NOT NULL,
        may_card boolean NOT NULL,
        state text NOT NULL DEFAULT 'open' CONSTRAINT dues_state CHECK (state IN ('open', 'done', 'ended')),
        closed_on date, snoozed_until date, computed_on date NOT NULL,
        CONSTRAINT dues_cycle_once UNIQUE (machine_id, position, task, cycle),
        CONSTRAINT dues_bounds CHECK (early_on <= due_on AND due_on <= late_on),
        CONSTRAINT dues_closed_on CHECK ((state = 'open') = (closed_on IS NULL)));
      CREATE UNIQUE INDEX dues_one_open ON dues (machine_id, position, task) WHERE state = 'open';
      CREATE INDEX dues_open_by_date ON dues (due_on) WHERE state = 'open';

      CREATE TABLE cards (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        customer_id bigint NOT NULL REFERENCES customers,
        channel text NOT NULL CONSTRAINT cards_channel CHECK (channel IN ('email', 'post')),
        attempt integer NOT NULL CONSTRAINT cards_attempt CHECK (attempt BETWEEN 1 AND 9),
        code_expires_on date NOT NULL,
        answered_at timestamptz,
        created_by bigint NOT NULL REFERENCES people, created_at timestamptz NOT NULL);
      CREATE INDEX cards_customer ON cards (customer_id, id);
      CREATE INDEX cards_created ON cards (created_at);

      CREATE TABLE card_lines (
        card_id bigint NOT NULL REFERENCES cards, due_id bigint NOT NULL REFERENCES dues,
        attempt integer NOT NULL,
        PRIMARY KEY (card_id, due_id),
        CONSTRAINT card_lines_once UNIQUE (due_id, attempt));

      CREATE TABLE messages (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        card_id bigint NOT NULL REFERENCES cards CONSTRAINT messages_one_per_card UNIQUE,
        channel text NOT NULL CONSTRAINT messages_channel CHECK (channel IN ('email', 'post')),
        recipient text NOT NULL,
        key uuid NOT NULL DEFAULT gen_random_uuid() CONSTRAINT messages_key UNIQUE,
        state text NOT NULL DEFAULT 'queued'
          CONSTRAINT messages_state CHECK (state IN ('queued', 'handing_over', 'handed_over', 'failed', 'unsure')),
        tries integer NOT NULL DEFAULT 0, last_error text, handed_over_at timestamptz,
        CONSTRAINT messages_handed_over CHECK ((state = 'handed_over') = (handed_over_at IS NOT NULL)));
      CREATE INDEX messages_open ON messages (id) WHERE state <> 'handed_over';

      CREATE TABLE answers (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        card_id bigint NOT NULL REFERENCES cards,
        kind text NOT NULL CONSTRAINT answers_kind CHECK (kind IN
          ('will_come', 'send_part', 'done_elsewhere', 'not_now', 'no_longer_have', 'stop_writing')),
        note text CONSTRAINT answers_note_length CHECK (length(note) <= 500),
        answered_at timestamptz NOT NULL,
        CONSTRAINT answers_once UNIQUE (card_id, kind));
      CREATE TRIGGER answers_are_history BEFORE UPDATE OR DELETE ON answers
        FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();

      CREATE TABLE events (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        at timestamptz NOT NULL, person_id bigint REFERENCES people, actor text NOT NULL,
        verb text NOT NULL, subject text NOT NULL, subject_id bigint NOT NULL, job_id bigint REFERENCES jobs,
        data jsonb NOT NULL DEFAULT '{}');
      CREATE INDEX events_subject ON events (subject, subject_id, id);
      CREATE INDEX events_job ON events (job_id, id);
      CREATE TRIGGER events_are_history BEFORE UPDATE OR DELETE ON events
        FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();
    SQL
  end
end
