# frozen_string_literal: true

module UprightBench
  module Web
    # What rack-attack asks of a store: counters that forget. In PostgreSQL, so that all web processes count together.
    class Counters
      SWEEP = 200 # one in so many counts clears away what has ended

      def initialize(db = DB)
        @db = db
      end

      # @return [Integer] the count so far, this one included
      def increment(key, amount = 1, expires_in:) # rubocop:disable Metrics/AbcSize -- one query
        sweep if rand(SWEEP).zero?
        now = Time.now
        over = Sequel[:throttle_counts][:ends_at] < now
        sum = Sequel.case([[over, Sequel[:excluded][:count]]],
          Sequel[:throttle_counts][:count] + Sequel[:excluded][:count])
        ends = Sequel.case([[over, Sequel[:excluded][:ends_at]]], Sequel[:throttle_counts][:ends_at])
        counts.returning(:count).insert_conflict(target: :key, update: { count: sum, ends_at: ends })
          .insert(key: key, count: amount, ends_at: now + expires_in).first[:count]
      end

      # @return [Integer, nil]
      def read(key)
        counts.where(key: key).where { ends_at >= Time.now }.get(:count)
      end

      def write(key, value, expires_in: 60)
        row = { count: value, ends_at: Time.now + expires_in }
        counts.insert_conflict(target: :key, update: row).insert(key: key, **row)
      end

      def delete(key)
        counts.where(key: key).delete
      end

      private

      def counts
        @db[:throttle_counts]
      end

      def sweep
        counts.where { ends_at < Time.now }.delete
      end
    end
  end
end
