# frozen_string_literal: true

# Text messages and phone calls beside mail and post; when and how each channel was agreed to; addresses that take
# nothing; and the owner's words in every language.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE customers
        ADD COLUMN text_agreed boolean NOT NULL DEFAULT false,
        ADD COLUMN phone_agreed boolean NOT NULL DEFAULT false,
        ADD COLUMN language text NOT NULL DEFAULT 'en' CONSTRAINT customers_language CHECK (language ~ '^[a-z]{2,3}$');
      ALTER TABLE cards DROP CONSTRAINT cards_channel, ADD CONSTRAINT cards_channel CHECK (channel IN ('email', 'text', 'post', 'phone'));
      ALTER TABLE messages DROP CONSTRAINT messages_channel, ADD CONSTRAINT messages_channel CHECK (channel IN ('email', 'text', 'post', 'phone'));

      CREATE TABLE consents (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        customer_id bigint NOT NULL REFERENCES customers,
        channel text NOT NULL CONSTRAINT consents_channel CHECK (channel IN ('email', 'text', 'post', 'phone')),
        agreed boolean NOT NULL, how text NOT NULL CONSTRAINT consents_how CHECK (how IN ('on_file', 'counter', 'phone', 'written', 'page', 'one_click')),
        written_by bigint REFERENCES people, at timestamptz NOT NULL,
        CONSTRAINT consents_written_by_name CHECK (how IN ('on_file', 'page', 'one_click') OR written_by IS NOT NULL));
      CREATE INDEX consents_customer ON consents (customer_id, id);
      CREATE TRIGGER consents_are_history BEFORE UPDATE OR DELETE ON consents FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();
      INSERT INTO consents (customer_id, channel, agreed, how, at)
        SELECT id, 'email', true, 'on_file', created_at FROM customers WHERE email_agreed
        UNION ALL SELECT id, 'post', true, 'on_file', created_at FROM customers WHERE post_agreed;

      -- Of this address only: another one on the same channel is tried again.
      CREATE TABLE channel_faults (
        customer_id bigint NOT NULL REFERENCES customers,
        channel text NOT NULL CONSTRAINT channel_faults_channel CHECK (channel IN ('email', 'text', 'post', 'phone')),
        address text NOT NULL, reason text NOT NULL CONSTRAINT channel_faults_reason_length CHECK (length(reason) BETWEEN 1 AND 300),
        noted_at timestamptz NOT NULL,
        PRIMARY KEY (customer_id, channel, address));

      CREATE TABLE wordings (
        language text NOT NULL CONSTRAINT wordings_language CHECK (language ~ '^[a-z]{2,3}$'), name text NOT NULL,
        template text NOT NULL CONSTRAINT wordings_length CHECK (length(template) BETWEEN 1 AND 4000),
        changed_by bigint NOT NULL REFERENCES people, changed_at timestamptz NOT NULL,
        PRIMARY KEY (language, name));
    SQL
  end
end
