# frozen_string_literal: true

# Searches for a fault on simulated machines, for those who learn. Nothing of it is a record of the shop.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE practice_rounds (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        person_id bigint NOT NULL REFERENCES people,
        sheet_version_id bigint NOT NULL REFERENCES sheet_versions,
        complaint text NOT NULL CONSTRAINT practice_rounds_complaint CHECK (length(complaint) BETWEEN 1 AND 60),
        hidden text[] NOT NULL CONSTRAINT practice_rounds_hidden CHECK (cardinality(hidden) BETWEEN 1 AND 2),
        seed integer NOT NULL,
        begun_at timestamptz NOT NULL,
        named text CONSTRAINT practice_rounds_named CHECK (length(named) BETWEEN 1 AND 120),
        ended_at timestamptz, minutes double precision, best_minutes double precision, hindsight_minutes double precision,
        CONSTRAINT practice_rounds_ended_whole CHECK ((ended_at IS NULL) = (minutes IS NULL)
          AND (ended_at IS NULL) = (best_minutes IS NULL) AND (ended_at IS NULL) = (hindsight_minutes IS NULL)));
      COMMENT ON TABLE practice_rounds IS 'A search for a fault on a simulated machine, for practice.';
      COMMENT ON COLUMN practice_rounds.hidden IS 'What is wrong with the machine.';
      CREATE INDEX practice_rounds_person ON practice_rounds (person_id);

      CREATE TABLE practice_checks (
        id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
        practice_round_id bigint NOT NULL REFERENCES practice_rounds,
        check_key text NOT NULL CONSTRAINT practice_checks_key CHECK (length(check_key) BETWEEN 1 AND 60),
        result text NOT NULL CONSTRAINT practice_checks_result CHECK (result IN ('found', 'clear')),
        unplugged boolean NOT NULL, done_at timestamptz NOT NULL,
        CONSTRAINT practice_checks_once UNIQUE (practice_round_id, check_key));
      COMMENT ON TABLE practice_checks IS 'What was checked in a round of practice, and what it showed.';
    SQL
  end

  down do
    run "DROP TABLE practice_checks, practice_rounds"
  end
end
