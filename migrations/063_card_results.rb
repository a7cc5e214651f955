# frozen_string_literal: true

# What came of the cards of a day, once it can no longer change: a large shop asks this of a million cards each day.
Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE card_results (
        leaves_on date NOT NULL,
        channel text NOT NULL,
        attempt integer NOT NULL CHECK (attempt > 0),
        minutes integer,
        ahead integer,
        waited integer CHECK (waited >= 0),
        cards integer NOT NULL CHECK (cards > 0)
      );
      CREATE UNIQUE INDEX card_results_once ON card_results
        (leaves_on, channel, attempt, coalesce(minutes, -1), coalesce(ahead, -100000), coalesce(waited, -1));
      COMMENT ON TABLE card_results IS 'Cards that left on a day and were followed as long as they are, alike ones together.';
      COMMENT ON COLUMN card_results.minutes IS 'Offered, free; null when nothing was offered.';
      COMMENT ON COLUMN card_results.ahead IS 'Days before the first date on a first card.';
      COMMENT ON COLUMN card_results.waited IS 'Days until the job that it brought; null when it brought none.';
    SQL
  end

  down { run "DROP TABLE card_results" }
end
