# frozen_string_literal: true

# Parts that go to the customer by post.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE parcels (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        bill_id bigint NOT NULL REFERENCES bills CONSTRAINT parcels_one_a_bill UNIQUE,
        customer_id bigint NOT NULL REFERENCES customers,
        machine_id bigint REFERENCES machines,
        card_id bigint REFERENCES cards,
        address jsonb NOT NULL CONSTRAINT parcels_address_list CHECK (jsonb_typeof(address) = 'array'),
        fitted jsonb NOT NULL DEFAULT '{}',
        state text NOT NULL DEFAULT 'packed' CONSTRAINT parcels_state CHECK (state IN ('packed', 'sent', 'fitted', 'came_back')),
        packed_at timestamptz NOT NULL,
        packed_by bigint NOT NULL REFERENCES people,
        sent_at timestamptz,
        ended_on date,
        CONSTRAINT parcels_sent CHECK (state = 'packed' OR sent_at IS NOT NULL),
        CONSTRAINT parcels_ended CHECK ((state IN ('fitted', 'came_back')) = (ended_on IS NOT NULL)));
      CREATE INDEX parcels_under_way ON parcels (id) WHERE state IN ('packed', 'sent');
      CREATE INDEX parcels_card ON parcels (card_id) WHERE card_id IS NOT NULL;
      COMMENT ON TABLE parcels IS 'Parts that go to the customer by post: what is in it stands on the bill.';
      COMMENT ON COLUMN parcels.fitted IS 'Where they will be put in: place => part. Their clocks begin then.';
    SQL
  end

  down { run "DROP TABLE parcels" }
end
