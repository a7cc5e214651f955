# frozen_string_literal: true

require "tmpdir"

module UprightBench
  module Measure
    # Times what cards and clocks do for all customers at once, in a shop of ten years. What it writes it takes back.
    class CardsBench
      MONTH = 30
      CARDS = 50_000
      PROCESSES = 2 # that compute dates, one for each core
      ATTEMPT = 9 # of the cards that are made for measuring: no real card gets so far

      def initialize(out: $stdout)
        @out = out
      end

      def call
        choose
        count_who_came
        hand_over
        recompute
      end

      private

      def took
        begun = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        said = yield
        seconds = Process.clock_gettime(Process::CLOCK_MONOTONIC) - begun
        @out.puts format("%<said>s, %<seconds>.1f s", said: said.respond_to?(:call) ? said.call(seconds) : said,
          seconds: seconds)
      end

      def choose
        today = Config::Zone.date(Time.now)
        took do
          book = Services::DueBook.new(today: today, until_on: today + MONTH)
          "a month's batch chosen of #{Models::Machine.count} machines: #{book.leaving.size} cards, " \
            "#{book.left_out.size} left out"
        end
      end

      def count_who_came
        took do
          returns = Services::CardReturns.new(today: Config::Zone.date(Time.now))
          "who came of #{returns.by_attempt.values.sum(&:tries)} cards"
        end
      end

      def hand_over
        batch = cards
        Dir.mktmpdir { |folder| took { mailed(batch, folder) } }
      ensure
        take_back(batch) if batch
      end

      def mailed(batch, folder)
        settings = Config::Settings.new(ENV.to_h.merge("STATE_DIR" => folder).except("SMTP_URL"))
        Outbox::Round.new(batch.id, settings: settings).call
        count = Dir[File.join(folder, "outbox/mail/*.eml")].size
        ->(seconds) { format("%<count>d cards handed over, %<rate>.0f a second", count: count, rate: count / seconds) }
      end

      # Past the services: a card of one due for each of so many customers.
      def cards
        by = Models::Person.first.id
        batch = Models::Batch.create(state: "leaving", until_on: Date.today, created_by: by, created_at: Time.now,
          written_at: Time.now)
        DB.run(<<~SQL)
          WITH chosen AS (
            SELECT DISTINCT ON (customers.id) customers.id, customers.email, dues.id AS due_id FROM customers JOIN machines ON machines.customer_id = customers.id
            JOIN dues ON dues.machine_id = machines.id AND dues.state = 'open' AND dues.may_card
            WHERE email_agreed AND email IS NOT NULL AND stopped_on IS NULL AND machines.state = 'in_use' AND snoozed_until IS NULL
              AND NOT EXISTS (SELECT 1 FROM jobs WHERE jobs.machine_id = machines.id AND jobs.state NOT IN ('handed_over', 'declined', 'referred')) LIMIT #{CARDS}),
          carded AS (
            INSERT INTO cards (customer_id, channel, attempt, code_expires_on, batch_id, created_by, created_at)
            SELECT id, 'email', #{ATTEMPT}, current_date + 120, #{batch.id}, #{by}, now() FROM chosen RETURNING id, customer_id),
          lined AS (INSERT INTO card_lines (card_id, due_id, attempt, leaves_on) SELECT carded.id, due_id, #{ATTEMPT}, current_date FROM carded JOIN chosen ON chosen.id = customer_id)
          INSERT INTO messages (card_id, channel, recipient, batch_id, leaves_on) SELECT carded.id, 'email', email, #{batch.id}, current_date - 1 FROM carded JOIN chosen ON chosen.id = customer_id
        SQL
        DB.run("ANALYZE messages")
        batch
      end

      def take_back(batch)
        batch.messages_dataset.delete
        Models::CardLine.where(card_id: batch.cards_dataset.unordered.select(:id)).delete
        batch.cards_dataset.delete
        batch.delete
      end

      def last_change
        DB[:due_changes].max(:id) || 0
      end

      # All machines, twice: in a shop that was just made, most dates move the first time. Then those of a policy: so
      # many more percent that pets leave of an interval, and back again.
      def recompute
        last = last_change
        Models::SheetVersion.preload(Models::Sheet.select_map(:current_version_id)) # read once in the life of a process
        dates_again("all dates computed")
        dates_again("all dates computed again")
        recompute_pets
      ensure
        forget_changes(last)
      end

      def recompute_pets
        kept = Models::Policy.where(key: "pets_percent")
        was_kept = kept.any?
        percent = Services::Policies.now["pets_percent"]
        [percent + 5, percent].each do |value|
          keep_pets_percent(value)
          dates_again("dates where there are pets computed again, #{value} %", traits: Sequel.pg_array(%w[pets], :text))
        end
      ensure
        kept.delete unless was_kept
      end

      # Each process takes every so-manieth slice, as workers would.
      def dates_again(what, **scope)
        asked = Models::Recompute.create(reason: "measured", asked_by: Models::Person.first.id, asked_at: Time.now,
          **scope)
        slices = Services::RecomputeDues.slices(asked)
        before = last_change
        took do
          in_processes(asked, slices)
          lambda { |_|
            "#{what}: #{slices.sum(&:last)} machines, #{DB[:due_changes].where { id > before }.count} dates " \
              "moved, #{PROCESSES} processes"
          }
        end
      ensure
        asked&.delete
      end

      def keep_pets_percent(percent)
        value = Sequel.pg_jsonb_wrap(percent)
        Models::Policy.dataset.insert_conflict(target: :key, update: { value: value })
          .insert(key: "pets_percent", value: value, changed_by: Models::Person.first.id, changed_at: Time.now)
      end

      # They are history, which nobody may rewrite but who owns the table.
      def forget_changes(last)
        DB.transaction do
          DB.run("ALTER TABLE due_changes DISABLE TRIGGER due_changes_are_history")
          DB[:due_changes].where { id > last }.delete
          DB.run("ALTER TABLE due_changes ENABLE TRIGGER due_changes_are_history")
        end
      end

      def in_processes(asked, slices)
        DB.disconnect
        pids = Array.new(PROCESSES) do |index|
          fork do
            slices.each_with_index { |slice, at| compute(asked, slice) if at % PROCESSES == index }
            exit!(0)
          end
        end
        pids.each { |pid| Process.wait2(pid).last.success? || raise("a process that computes dates failed") }
      end

      def compute(asked, slice)
        DB.transaction { Services::RecomputeDues.slice(asked, *slice, at: Time.now) }
      end
    end
  end
end
