# frozen_string_literal: true

module UprightBench
  module Services
    # Writes rows of a file of customers: who is new is put on file, who is known is joined, and their machines with the
    # clocks that their last service started. Everything for all rows at once; within the caller's transaction.
    class WriteCustomers
      # How many; and what could not be written: lines with reasons.
      Written = Struct.new(:customers_added, :machines_added, :joined, :known, :wrong, keyword_init: true)

      FILLED = %i[phone email street town region postcode country former_number notes].freeze # where nothing stands yet

      COLUMNS = [:name, :fleet, *FILLED, *Formats::CustomerColumns::AGREED.map(&:to_sym)].freeze

      def initialize(import, by:, at:)
        @import = import
        @by = by
        @at = at
        @reader = CheckCustomerList.reader(import, Config::Zone.date(at))
      end

      # @param rows [Array<Hash>] line and cells
      # @return [Written]
      def call(rows)
        read = rows.map { |row| [row[:line], @reader.read(@import.by_column(row[:cells]))] }
        @wrong = []
        book = CustomerBook.new(read.map { |_, row| row.customer })
        customers = read.filter_map { |line, row| whose(book, line, row) }
        keep(book)
        machines = MovedMachines.new(by: @by, at: @at, starter: @import.starter).call(customers)
        told(book, machines, customers)
      end

      private

      # @return [Array(Integer, Formats::CustomerRow::Read, CustomerBook::Entry), nil]
      def whose(book, line, row)
        [line, row, book.find_or_add(row.customer, row.agreed_on)]
      rescue CustomerBook::Unclear => e
        @wrong << [line, e.message]
        nil
      end

      def keep(book)
        fresh = book.fresh
        insert(fresh) if fresh.any?
        fill(book)
        note(fresh.map { |entry| ["customers", entry.id, "moved in"] } +
             book.filled.map { |entry| ["customers", entry.id, "completed from a file"] })
      end

      def insert(fresh)
        rows = fresh.map { |entry| [*entry.fields.values_at(*COLUMNS), @by.id, @at] }
        ids = DB[:customers].returning(:id).import([*COLUMNS, :created_by, :created_at], rows)
        fresh.zip(ids) { |entry, id| entry.id = id }
        consent(fresh)
      end

      # As it was given; what was not is not.
      def consent(fresh)
        rows = fresh.flat_map do |entry|
          Models::Customer::AGREED.select { |_, column| entry.fields[column] }.map do |channel, _|
            { customer_id: entry.id, channel: channel.to_s, agreed: true, how: "on_file", written_by: @by.id,
              at: entry.agreed_on ? Config::Zone.at(entry.agreed_on, 0) : @at }
          end
        end
        Models::Consent.dataset.multi_insert(rows)
      end

      def fill(book)
        book.filled.each do |entry|
          Models::Customer.where(id: entry.id).update(**entry.missing, lock_version: Sequel[:lock_version] + 1)
        end
      end

      def note(rows)
        columns = %i[subject subject_id verb at person_id actor data]
        data = Sequel.pg_jsonb({ file: @import.id })
        Models::Event.dataset.import(columns, rows.map { |row| [*row, @at, @by.id, @by.name, data] })
      end

      def told(book, machines, customers)
        note(machines.added.map { |machine| ["machines", machine.id, "moved in"] })
        @wrong.concat(machines.wrong)
        joined = customers.size - book.fresh.size
        Written.new(customers_added: book.fresh.size, machines_added: machines.added.size, joined: joined,
          known: machines.known, wrong: @wrong)
      end
    end
  end
end
