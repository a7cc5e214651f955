# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Demo
    # What was ordered from the suppliers in the last months, what came and how late, and one order that is on its way.
    class Orders
      # Days ago it was ordered, and how many days it took.
      ORDERS = { "Harbor Parts Exchange" => [[120, 3], [75, 4], [31, 5]],
                 "Tidewater Trade Supply" => [[140, 9], [60, 13]], "Netloft Pattern Works" => [[90, 14]] }.freeze
      ON_ITS_WAY = "Tidewater Trade Supply"
      LINES = 6

      # @param by [Models::Person]
      # @param now [Time]
      # @param random [Random]
      def initialize(by, now, random)
        @by = by
        @now = now
        @random = random
      end

      def before_the_count
        orders = ORDERS.flat_map { |name, times| times.map { |days_ago, took| [days_ago, took, name] } }
        orders.sort.reverse_each { |days_ago, took, name| arrived(Models::Supplier.first(name: name), days_ago, took) }
      end

      def today
        Services::ForecastShelf.call(at: @now)
        short = Services::Short.rows.select { |row| row.part.supplier&.name == ON_ITS_WAY }.first(2)
        return if short.empty?

        order(short.first.part.supplier, short.to_h { |row| [row.part.id, row.pieces] }, @now - (2 * 86_400))
      end

      private

      def arrived(supplier, days_ago, took)
        parts = supplier.parts_dataset.where(discontinued: false).order(:number).all.sample(LINES, random: @random)
        placed = order(supplier, parts.to_h { |part| [part.id, part.pack_pieces * 2] }, ago(days_ago))
        receive(placed, ago(days_ago - took))
      end

      def receive(placed, at)
        Services::ReceiveOrder.call(placed.number, pieces: placed.lines.to_h { |line| [line.id, line.pieces] },
          request_key: SecureRandom.uuid, by: @by, at: at)
      end

      def ago(days)
        @now - (days * 86_400)
      end

      def order(supplier, pieces, at)
        Services::PlaceOrder.call(supplier, pieces: pieces, request_key: SecureRandom.uuid, by: @by, at: at)
      end
    end
  end
end
