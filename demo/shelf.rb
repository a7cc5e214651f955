# frozen_string_literal: true

require "json"

module UprightBench
  module Demo
    # Fills the shelf with invented parts: where they come from, where they fit, and what took the place of what.
    class Shelf
      SUPPLIERS = { "Harbor Parts Exchange" => 3, "Tidewater Trade Supply" => 9, "Netloft Pattern Works" => 14 }.freeze
      BEGINNING = 6 # of each part, two years ago
      LOW = 3
      DELIVERY = 5

      # @param by [Models::Person]
      # @param at [Time]
      def initialize(by, at)
        @by = by
        @at = at
        @rows = self.class.send(:rows)
      end

      def self.rows
        JSON.parse(File.read(File.expand_path("parts.json", __dir__)), symbolize_names: true)
      end
      private_class_method :rows

      # @return [Hash{String=>Integer}] part's number => pieces that shall lie there today
      def self.stock
        rows.to_h { |row| [row.fetch(:number), row.fetch(:stock)] }
      end

      def call
        suppliers = SUPPLIERS.to_h do |name, days|
          [name, Models::Supplier.create(name: name, lead_days: days,
            email: "#{name.split.first.downcase}@example.org").id]
        end
        @rows.each { |row| add(row, suppliers) }
        succeed
        wrong_fit
      end

      # What runs low is delivered before it is missed.
      # @param by [Models::Person]
      def self.restock(by, at:)
        Models::StockLevel.where { pieces < LOW }.select_order_map(:part_id).each do |id|
          Services::MoveStock.call(Models::Part.with_pk!(id), pieces: DELIVERY, kind: "received", by: by, at: at)
        end
      end

      private

      def add(row, suppliers)
        fields = plain(row.except(:fits, :stock, :successor, :supplier))
          .merge(supplier_id: suppliers.fetch(row.fetch(:supplier)))
        part = Services::AddPart.call(fields, fits: row.fetch(:fits), by: @by, at: @at)
        Services::MoveStock.call(part, pieces: BEGINNING, kind: "received", by: @by, at: @at)
        part
      end

      def succeed
        @rows.select { |row| row[:successor] }.each do |row|
          Models::Part.where(number: row[:number]).update(successor_id: Models::Part.where(number: row[:successor])
            .get(:id))
        end
      end

      # What a supplier listed for another model too, until somebody tried it.
      def wrong_fit
        sheet = Models::Sheet.first(model_name: "Dart S").to_core
        rule = Services::KeepFit.add(Models::Part.first(number: "PT-2031"), sheet, sheet.position("roll"),
          said: { said_by: "supplier", note: "as in their list" }, by: @by, at: @at)
        Services::KeepFit.end(rule, by: @by, at: @at)
      end

      # JSON's inner objects keep text keys.
      def plain(fields)
        fields.transform_values { |value| value.is_a?(Hash) ? value.transform_keys(&:to_s) : value }
      end
    end
  end
end
