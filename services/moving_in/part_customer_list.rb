# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # Parts a file of customers that was kept into its rows. What its columns are is guessed then, and said by a person.
    class PartCustomerList
      MOST = 250_000
      SLICE = 1000

      # The queue's job; one that comes twice finds nothing to do.
      class Work < Que::Job
        def run(id)
          PartCustomerList.call(Models::CustomerImport.with_pk!(id), from: %w[kept])
        end
      end

      # @param import [Models::CustomerImport]
      # @param from [Array<String>] states in which it is parted; in any other it is left alone
      # @param encoding [String, nil] a key of Formats::TextEncoding::ALL; as it looks when nil
      # @return [Models::CustomerImport] to be mapped, or bad
      def self.call(import, from: ["kept"], encoding: nil)
        DB.transaction do
          next import unless from.include?(import.lock!.state)

          DB.transaction(savepoint: true) { new(import, encoding).call }
        rescue Formats::Malformed => e
          import.update(state: "bad", problem: e.problems.first(5).join(" "))
        end
        import.refresh
      end

      # As somebody says that it is written.
      # @raise [Refused] when it is being written, or was
      def self.again(import, encoding:, by:)
        Permissions.check!(:moving_in, by)
        raise Refused, "This file is #{import.state} already." unless CheckCustomerList::ASKED.include?(import.state)

        call(import, from: CheckCustomerList::ASKED, encoding: encoding)
      end

      def initialize(import, encoding)
        @import = import
        bytes = import.content
        @encoding = encoding || Formats::TextEncoding.guess(bytes)
        @text = Formats::TextEncoding.text(bytes, @encoding)
      end

      def call
        @import.import_rows.delete
        rows = Formats::AddressBook.cards?(@text) ? keep_cards : keep_table
        raise Formats::Malformed, ["There is no row in it."] if rows.zero?

        keep(state: "to_map", encoding: @encoding, rows: rows, through: 0, problem: nil, date_order: date_order)
      end

      private

      def date_order
        meanings = @import.meanings.to_a
        columns = meanings.each_index.select { |index| Formats::CustomerColumns.day?(meanings[index]) }
        texts = @import.import_rows.order(:line).limit(SLICE).select_map(:cells)
          .flat_map { |cells| cells.to_a.values_at(*columns) }
        Formats::DatesInOrder.guess(texts.compact, ShopOnFile.call.country, today: Config::Zone.date(Time.now))
      end

      def keep_cards
        columns = Formats::AddressBook::COLUMNS
        keep(format: "vcard", headers: array(columns), meanings: array(columns))
        insert(Formats::AddressBook.rows(@text).map { |cells, line| [line, columns.map { |column| cells[column] }] })
      end

      # Row by row, as it may be long.
      def keep_table
        rows = []
        count = 0
        Formats::CsvRows.new(@text, most: MOST).each(method(:keep_headers)) do |cells, line|
          rows << [line, cells]
          count += insert(rows.slice!(0..)) if rows.size == SLICE
        end
        count + insert(rows)
      end

      def keep_headers(headers)
        raise Formats::Malformed, ["There is no line that names the columns."] if headers.empty?

        guessed = Formats::CustomerColumns.guess(headers).map(&:to_s)
        keep(format: "csv", headers: array(headers), meanings: array(guessed))
      end

      def insert(rows)
        rows.each_slice(SLICE) do |slice|
          @import.import_rows.import(%i[customer_import_id line cells],
            slice.map { |line, cells| [@import.id, line, array(cells)] })
        end
        rows.size
      end

      def array(texts)
        Sequel.pg_array(texts, :text)
      end

      def keep(**fields)
        @import.update(**fields) # nil when nothing changes
        @import.refresh
      end
    end
  end
end
