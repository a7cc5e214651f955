# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # Says what the columns of a file of customers are, and has the worker look each row through: what cannot be taken
    # over is left out with its reason. Nobody is put on file here.
    class CheckCustomerList
      SLICE = 2000 # rows
      NAMES = %w[name first_name last_name company customer_number].freeze # one of them is needed
      ASKED = %w[to_map checked].freeze # states in which it can be said anew

      # The queue's job; each enqueues the next, so that cards go on leaving.
      class Work < Que::Job
        def run(id)
          CheckCustomerList.slice(id, at: Time.now)
        end
      end

      # @param meanings [Array<String>] our columns, in the order of theirs; empty for one that is left aside
      # @param starter [String] with which sheet an unknown model begins
      # @return [Models::CustomerImport]
      # @raise [Invalid] beside the fields columns, date_order, starter
      # @raise [Refused] when it is being written, or was
      def self.ask(import, meanings:, date_order:, starter:, by:, at:)
        Permissions.check!(:moving_in, by)
        errors = problems(import, meanings, date_order, starter)
        raise Invalid, errors if errors.any?

        begin_anew(import, meanings, date_order, starter) do
          History.note("said what the columns are", import, by: by, at: at,
            data: { columns: import.headers.zip(meanings).to_h })
        end
      end

      def self.begin_anew(import, meanings, date_order, starter)
        DB.transaction do
          import.lock!
          raise Refused, "This file is #{import.state} already." unless ASKED.include?(import.state)

          import.import_rows.update(reason: nil)
          import.update(meanings: Sequel.pg_array(meanings, :text), date_order: date_order, starter: starter,
            state: "checking", through: 0, wrong: 0, checked_line: 0)
          yield
          Work.enqueue(import.id)
          import
        end
      end

      def self.problems(import, meanings, date_order, starter)
        said = meanings.reject(&:empty?)
        twice = said.tally.select { |_, count| count > 1 }.keys.map { |column| words(column) }
        { columns: columns_problem(import, meanings, said, twice),
          date_order: (["must be chosen"] unless Formats::DatesInOrder::ALL.key?(date_order)),
          starter: (["must be chosen"] unless Starters.titles.key?(starter)) }.compact
      end

      def self.columns_problem(import, meanings, said, twice)
        return ["Say what each column is."] if meanings.size != import.headers.size
        return ["Two columns are said to be #{twice.join(', ')}."] if twice.any?

        known = Formats::CustomerColumns::ALL.keys
        return ["There is no such column."] unless (said - known).empty?

        ["Say in which column the name is."] unless said.intersect?(NAMES)
      end

      def self.words(column)
        Formats::CustomerColumns::ALL.fetch(column, [column]).first
      end

      # From where it was looked through; a job that comes twice goes on where the other one stopped.
      def self.slice(id, at:)
        DB.transaction do
          import = Models::CustomerImport.where(id: id).for_update.first
          next unless import.state == "checking"

          rows = import.import_rows.where(Sequel[:line] > import.checked_line).order(:line).limit(SLICE).all
          next import.update(state: "checked") if rows.empty?

          look_through(import, rows, at)
          Work.enqueue(id)
        end
      end

      def self.look_through(import, rows, at)
        wrong = wrong_ones(import, rows, at)
        leave_out(import, wrong)
        import.update(through: import.through + rows.size, wrong: import.wrong + wrong.size,
          checked_line: rows.last[:line])
      end

      # @return [Array<Array(Integer, String)>] line and reason
      def self.wrong_ones(import, rows, at)
        read = reader(import, Config::Zone.date(at))
        rows.filter_map do |row|
          problems = read.read(import.by_column(row[:cells])).problems
          [row[:line], problems.join(" ")] if problems.any?
        end
      end

      # @param wrong [Array<Array(Integer, String)>] line and reason
      def self.leave_out(import, wrong)
        return if wrong.empty?

        DB[<<~SQL, DB.literal(import.id).to_i, JSON.generate(wrong)].update
          UPDATE customer_import_rows SET reason = told.value->>1
          FROM (SELECT ?::bigint AS id, value FROM jsonb_array_elements(?::jsonb)) AS told
          WHERE customer_import_id = told.id AND line = (told.value->>0)::integer
        SQL
      end

      # @return [Formats::CustomerRow]
      def self.reader(import, today)
        Formats::CustomerRow.new(country: ShopOnFile.call.country, today: today,
          dates: Formats::DatesInOrder.new(import.date_order, today: today))
      end
      private_class_method :begin_anew, :problems, :columns_problem, :words, :look_through, :wrong_ones
    end
  end
end
