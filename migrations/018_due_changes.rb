# frozen_string_literal: true

# A date that moved: what it was, what it became, and why. Never rewritten.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE due_changes (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        due_id bigint NOT NULL REFERENCES dues,
        was_on date, now_on date, reason text NOT NULL CONSTRAINT due_changes_reason_length CHECK (length(reason) BETWEEN 1 AND 200),
        changed_on date NOT NULL,
        CONSTRAINT due_changes_moved CHECK (was_on IS DISTINCT FROM now_on));
      CREATE INDEX due_changes_due ON due_changes (due_id, id);
      CREATE TRIGGER due_changes_are_history BEFORE UPDATE OR DELETE ON due_changes FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();
    SQL
  end
end
