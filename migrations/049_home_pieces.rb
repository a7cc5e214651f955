# frozen_string_literal: true

# What was left of a box that was opened and paid, and went home with the customer.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE home_pieces (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        machine_id bigint NOT NULL REFERENCES machines,
        part_id bigint NOT NULL REFERENCES parts,
        kind text NOT NULL,
        pieces integer NOT NULL CONSTRAINT home_pieces_not_negative CHECK (pieces >= 0),
        job_id bigint NOT NULL REFERENCES jobs,
        given_on date NOT NULL,
        CONSTRAINT home_pieces_once UNIQUE (job_id, part_id, kind));
      CREATE INDEX home_pieces_there ON home_pieces (machine_id) WHERE pieces > 0;
      COMMENT ON TABLE home_pieces IS 'What was left of an opened box and went home with the customer; 0 when all was fitted here.';
    SQL
  end

  down { drop_table :home_pieces }
end
