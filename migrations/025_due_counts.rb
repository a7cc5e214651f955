# frozen_string_literal: true

# How many dues that a customer may hear of fall on each day, kept beside them: the coming year is drawn from some
# thousand numbers and not from a million dues. Whoever changes dues takes away what is counted of the same days, as
# far as nobody else is at it, and writes the sum: nobody waits, and there are seldom two rows of a day. The sum of all
# rows is always what there is.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE due_counts (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        attempts integer NOT NULL, due_on date NOT NULL, dues integer NOT NULL CONSTRAINT due_counts_something CHECK (dues <> 0));
      CREATE INDEX due_counts_day ON due_counts (attempts, due_on);
      INSERT INTO due_counts (attempts, due_on, dues)
        SELECT attempts, due_on, count(*) FROM dues WHERE state = 'open' AND may_card AND due_on IS NOT NULL GROUP BY attempts, due_on;

      CREATE TYPE due_change_count AS (attempts integer, due_on date, dues bigint);
      CREATE FUNCTION add_to_due_counts(changes due_change_count[]) RETURNS void LANGUAGE sql AS $$
        WITH changed AS (SELECT attempts, due_on, sum(dues) AS dues FROM unnest(changes) GROUP BY attempts, due_on HAVING sum(dues) <> 0),
        counted AS (
          DELETE FROM due_counts WHERE id IN (
            SELECT id FROM due_counts JOIN changed USING (attempts, due_on) FOR UPDATE OF due_counts SKIP LOCKED) RETURNING attempts, due_on, dues)
        INSERT INTO due_counts (attempts, due_on, dues)
          SELECT attempts, due_on, sum(dues) FROM (SELECT * FROM changed UNION ALL SELECT * FROM counted) AS both_of_them
          GROUP BY attempts, due_on HAVING sum(dues) <> 0 $$;

      CREATE FUNCTION count_dues() RETURNS trigger LANGUAGE plpgsql AS $$
        DECLARE changes due_change_count[] := '{}';
        BEGIN
          IF TG_OP <> 'DELETE' THEN
            changes := changes || ARRAY(SELECT (attempts, due_on, count(*))::due_change_count FROM new_dues
              WHERE state = 'open' AND may_card AND due_on IS NOT NULL GROUP BY attempts, due_on);
          END IF;
          IF TG_OP <> 'INSERT' THEN
            changes := changes || ARRAY(SELECT (attempts, due_on, -count(*))::due_change_count FROM old_dues
              WHERE state = 'open' AND may_card AND due_on IS NOT NULL GROUP BY attempts, due_on);
          END IF;
          PERFORM add_to_due_counts(changes);
          RETURN NULL;
        END $$;
      CREATE TRIGGER dues_added AFTER INSERT ON dues REFERENCING NEW TABLE AS new_dues FOR EACH STATEMENT EXECUTE FUNCTION count_dues();
      CREATE TRIGGER dues_changed AFTER UPDATE ON dues REFERENCING OLD TABLE AS old_dues NEW TABLE AS new_dues FOR EACH STATEMENT EXECUTE FUNCTION count_dues();
      CREATE TRIGGER dues_gone AFTER DELETE ON dues REFERENCING OLD TABLE AS old_dues FOR EACH STATEMENT EXECUTE FUNCTION count_dues();
    SQL
  end
end
