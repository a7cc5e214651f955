# frozen_string_literal: true

# Customers and their machines that come in as a file: kept as it came, parted into rows, its columns said, looked
# through, and written row by row by the worker.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE customer_imports (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        format text NOT NULL CONSTRAINT customer_imports_format CHECK (format IN ('csv', 'vcard')),
        state text NOT NULL CONSTRAINT customer_imports_state
          CHECK (state IN ('kept', 'bad', 'to_map', 'checking', 'checked', 'writing', 'paused', 'cancelled', 'written')),
        bytes bigint NOT NULL DEFAULT 0,
        encoding text,
        headers text[] NOT NULL DEFAULT '{}',
        meanings text[] NOT NULL DEFAULT '{}',
        date_order text CONSTRAINT customer_imports_date_order CHECK (date_order IN ('dmy', 'mdy', 'ymd')),
        starter text,
        problem text,
        rows integer NOT NULL DEFAULT 0, through integer NOT NULL DEFAULT 0,
        customers_added integer NOT NULL DEFAULT 0, machines_added integer NOT NULL DEFAULT 0,
        joined integer NOT NULL DEFAULT 0, known integer NOT NULL DEFAULT 0, wrong integer NOT NULL DEFAULT 0,
        given_by bigint NOT NULL REFERENCES people, given_at timestamptz NOT NULL,
        settled_at timestamptz,
        CONSTRAINT customer_imports_through CHECK (through BETWEEN 0 AND rows),
        CONSTRAINT customer_imports_bad CHECK ((state = 'bad') = (problem IS NOT NULL)));
      CREATE UNIQUE INDEX customer_imports_one_at_a_time ON customer_imports ((true)) WHERE state IN ('writing', 'paused');
      COMMENT ON TABLE customer_imports IS 'Customers and machines that came in as a file.';
      COMMENT ON COLUMN customer_imports.meanings IS 'What each column of the file is, in the order of headers; empty for one that is left aside.';
      COMMENT ON COLUMN customer_imports.starter IS 'With which sheet a machine of an unknown model begins, where no column says its kind.';
      COMMENT ON COLUMN customer_imports.through IS 'Rows that were looked through, or written.';
      COMMENT ON COLUMN customer_imports.joined IS 'Rows of customers who were on file already, or stood further up.';
      COMMENT ON COLUMN customer_imports.known IS 'Rows in which nothing was new.';

      CREATE TABLE customer_import_pieces (
        customer_import_id bigint NOT NULL REFERENCES customer_imports, sequence integer NOT NULL, bytes bytea NOT NULL,
        PRIMARY KEY (customer_import_id, sequence));
      COMMENT ON TABLE customer_import_pieces IS 'A file of customers as it came, until it is written.';

      CREATE TABLE customer_import_rows (
        customer_import_id bigint NOT NULL REFERENCES customer_imports, line integer NOT NULL,
        cells text[] NOT NULL, reason text,
        PRIMARY KEY (customer_import_id, line));
      CREATE INDEX customer_import_rows_waiting ON customer_import_rows (customer_import_id, line) WHERE reason IS NULL;
      COMMENT ON TABLE customer_import_rows IS 'The rows of a file of customers that wait to be written, and those that were left out.';
      COMMENT ON COLUMN customer_import_rows.reason IS 'Why it was left out; empty while it waits.';

      ALTER TABLE customers ADD COLUMN former_number text
        CONSTRAINT customers_former_number_length CHECK (length(former_number) BETWEEN 1 AND 60);
      COMMENT ON COLUMN customers.former_number IS 'Their number in what the shop kept its customers in before.';
      CREATE INDEX customers_former_number ON customers (upper(former_number)) WHERE former_number IS NOT NULL;
      CREATE INDEX customers_same_name ON customers (plain_text(name));
      CREATE INDEX customers_same_phone ON customers (phone) WHERE phone IS NOT NULL;
      CREATE INDEX customers_same_email ON customers (lower(email)) WHERE email IS NOT NULL;
    SQL
  end

  down do
    run "DROP INDEX customers_same_name, customers_same_phone, customers_same_email"
    run "ALTER TABLE customers DROP COLUMN former_number"
    run "DROP TABLE customer_import_rows, customer_import_pieces, customer_imports"
  end
end
