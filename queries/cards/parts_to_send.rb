# frozen_string_literal: true

module UprightBench
  module Queries
    # Who asked on a card for a part to be sent, while what the card named is still due; who asked first before the
    # others.
    class PartsToSend
      MOST = 100
      WHERE_TO = %i[street town region postcode country phone].freeze
      Row = Struct.new(:card_id, :customer_id, :customer, *WHERE_TO, :machine, :machine_id, :position_name, :asked_at,
        :note, :asked_for, keyword_init: true)

      # @return [Array<Row>] a line a part, at most MOST
      def self.call
        asked.where(Sequel[:dues][:state] => "open", Sequel[:dues][:action] => "replace")
          .order(Sequel[:answers][:answered_at], Sequel[:dues][:id]).limit(MOST).naked.select(*columns)
          .map { |row| Row.new(**row) }
      end

      def self.asked # rubocop:disable Metrics/AbcSize -- one query
        packed = Models::Parcel.exclude(state: "came_back").exclude(card_id: nil).select(:card_id)
        Models::Answer.where(kind: "send_part").exclude(Sequel[:answers][:card_id] => packed).join(:cards, id: :card_id)
          .join(:customers, id: Sequel[:cards][:customer_id])
          .join(:card_lines, card_id: Sequel[:cards][:id], void: false).join(:dues, id: :due_id)
          .join(:machines, id: Sequel[:dues][:machine_id]).join(:sheets, id: Sequel[:machines][:sheet_id])
      end

      def self.columns # rubocop:disable Metrics/AbcSize -- one query
        customers, answers = %i[customers answers].map { |table| Sequel[table] }
        [Sequel[:cards][:id].as(:card_id), customers[:id].as(:customer_id), customers[:name].as(:customer),
         *WHERE_TO.map do |name|
           customers[name]
         end, Sequel.join(%i[maker model_name], " ").as(:machine), Sequel[:dues][:machine_id],
         Sequel[:dues][:position_name], answers[:answered_at].as(:asked_at), answers[:note],
         answers[:address].as(:asked_for)]
      end
      private_class_method :asked, :columns
    end
  end
end
