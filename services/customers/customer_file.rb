# frozen_string_literal: true

require "json"
require "stringio"
require "zip"

module UprightBench
  module Services
    # All that is kept of one customer, as a file for them: to read, as data, and with their pictures and bills. What
    # the law of many countries calls access (in the European Union: GDPR, article 15).
    class CustomerFile
      # Who of the staff did something is not about the customer.
      STAFF = /\A(?:person_id|actor|\w+_by)\z/
      PAST = %i[lock_version request_key reasons_mark].freeze # columns that only the program reads

      # @param customer [Models::Customer]
      # @return [String] a ZIP
      def self.call(customer, by:, at:)
        Permissions.check!(:customer_file, by)
        History.note("handed out all that is kept", customer, by: by, at: at)
        new(customer, at).call
      end

      def initialize(customer, at)
        @customer = customer
        @at = at
      end

      def call
        Zip::OutputStream.write_buffer(StringIO.new) do |zip|
          add(zip, "about-you.txt", CustomerFileText.new(@customer, at: @at).call)
          add(zip, "data.json", data)
          pictures.each { |picture| add_picture(zip, picture) }
          bills.each { |bill| add_bill(zip, bill) }
        end.string
      end

      # @return [String] JSON; who of the staff did something stands nowhere in it, whatever a reason says
      def data
        names = Models::Person.select_map(:name)
        JSON.pretty_generate({ customer: @customer.id, written_at: @at.utc.iso8601, tables: tables })
          .gsub(/\b(?:#{Regexp.union(names)})\b/, "one of us")
      end

      # From the customer on to whatever refers to what is theirs. A table that names a customer itself is asked for
      # this one: a machine may have been somebody else's.
      # @return [Hash{Symbol=>Array<Hash>}] table => rows
      def tables
        @ids = { customers: [@customer.id] }
        @rows = { customers: [plain(@customer.values)] }
        waiting = [:customers]
        follow(waiting.shift, waiting) while waiting.any?
        @rows[:events] = events
        @rows.reject { |_, rows| rows.empty? }
      end

      private

      def add(zip, name, bytes)
        zip.put_next_entry(name)
        zip << bytes
      end

      def pictures
        mine = Models::Job.where(customer_id: @customer.id).select(:id)
        machines = Models::Machine.where(customer_id: @customer.id).select(:id)
        notes = Models::Note.where(Sequel.|({ job_id: mine }, { machine_id: machines })).select(:id)
        Models::Picture.where(Sequel.|({ job_id: mine }, { note_id: notes })).order(:id).all
      end

      def bills
        Models::Bill.where(customer_id: @customer.id).order(:id).all
      end

      def add_bill(zip, bill)
        add(zip, "bills/#{bill.title.downcase.gsub(/[^a-z0-9]+/, '-')}.pdf", PrintedBill.new(bill).render)
      end

      def add_picture(zip, picture)
        path = Pictures::Store.ours.path(picture.digest, :full)
        add(zip, "pictures/#{picture.id}.jpg", path.binread) if path.exist?
      end

      def follow(table, waiting)
        children(table).each do |reference|
          child = reference[:from]
          next if @rows.key?(child) || child == :events

          rows = of_the_customer(child, reference[:column], @ids.fetch(table))
          keep(child, rows, waiting) if rows.any?
        end
      end

      # What refers to these rows is asked for in its turn.
      def keep(table, rows, waiting)
        @rows[table] = rows.map { |row| plain(row) }
        return unless rows.first.key?(:id)

        @ids[table] = rows.map { |row| row[:id] }
        waiting << table
      end

      def of_the_customer(table, column, ids)
        names = DB[table].columns
        asked = names.include?(:customer_id) ? { customer_id: @customer.id } : { column => ids }
        rows = DB[table].where(asked)
        names.include?(:id) ? rows.order(:id).all : rows.all
      end

      # Tables that refer to a row of a table by its id.
      def children(table)
        @references ||= DB.fetch(<<~SQL).all.group_by { |row| row[:to].to_sym }
          SELECT conrelid::regclass::text AS "from", confrelid::regclass::text AS "to", attname AS "column"
          FROM pg_constraint JOIN pg_attribute ON attrelid = conrelid AND attnum = conkey[1]
          WHERE contype = 'f' AND connamespace = 'public'::regnamespace AND array_length(conkey, 1) = 1
          ORDER BY 1, 3
        SQL
        @references.fetch(table, []).map { |row| { from: row[:from].to_sym, column: row[:column].to_sym } }
      end

      def events
        jobs, cards, machines = %i[jobs cards machines].map { |table| @ids.fetch(table, []) }
        DB[:events].where(Sequel.|({ job_id: jobs }, { subject: "customers", subject_id: @customer.id },
          { subject: "cards", subject_id: cards }, { subject: "machines", subject_id: machines }))
          .order(:id).map { |row| plain(row.except(:address)) } # from where somebody of the staff did it
      end

      def plain(row)
        row.reject { |name, value| value.nil? || PAST.include?(name) || name.match?(STAFF) }
          .transform_values { |value| value.is_a?(Sequel::SQL::Blob) ? "(a file)" : value }
      end
    end
  end
end
