# frozen_string_literal: true

module UprightBench
  module Queries
    # What a program that watches wants to know of the shop, as of now.
    module Gauges
      module_function

      # @return [Hash{Symbol=>Numeric, nil}]
      def call(at:)
        { jobs_in_shop: Models::Job.in_shop.count, **of_the_queue(at), **of_cards(at),
          events_unsealed: DB[:events].max(:id).to_i - DB[:event_seals].max(:event_id).to_i,
          last_backup_seconds: age(Services::Backups.last&.at, at), database_bytes: database_bytes }
      end

      def of_the_queue(at)
        { queue_waiting: queue.count, queue_oldest_seconds: age(queue.min(:run_at), at),
          queue_failing: queue.exclude(error_count: 0).count }
      end

      def of_cards(at)
        { cards_waiting: waiting.count, cards_oldest_overdue_seconds: oldest_card(at),
          cards_in_doubt: Models::Message.where(state: "unsure").count }
      end

      def queue
        DB[:que_jobs].where(finished_at: nil, expired_at: nil).where { run_at <= Sequel::CURRENT_TIMESTAMP }
      end

      def waiting
        Models::Message.where(state: Models::Message::WAITING)
      end

      # Of those whose day has come.
      def oldest_card(at)
        day = waiting.where { leaves_on <= Config::Zone.date(at) }.min(:leaves_on)
        day && [age(Config::Zone.at(day, 0), at), 0].max
      end

      def age(time, at)
        time && (at - time).round
      end

      def database_bytes
        DB.get(Sequel.function(:pg_database_size, Sequel.function(:current_database)))
      end
      private_class_method :of_the_queue, :of_cards, :queue, :waiting, :oldest_card, :age, :database_bytes
    end
  end
end
