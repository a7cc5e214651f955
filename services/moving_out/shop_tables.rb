# frozen_string_literal: true

require "digest"
require "tsort"

module UprightBench
  module Services
    # The tables of a shop as lines of JSON (JSON Lines): what is in them, in which order they have to be read, and a
    # digest by which two shops are the same. Workings of this one machine and secrets are left out.
    class ShopTables
      LEFT_OUT = %i[schema_info schema_migrations person_sessions person_otp_keys person_recovery_codes
                    person_passkeys person_passkey_users sign_in_tries throttle_counts first_keys que_jobs
                    que_lockers que_values
                    que_scheduler_audit que_scheduler_audit_enqueued paper_runs paper_pieces
                    part_import_pieces customer_import_pieces archive_runs].freeze
      SECRET = { people: %i[password_hash password_given password_given_at second_factor pin_hash] }.freeze
      # Raw lines: no sign below a space stands in JSON.
      COPY = { format: :csv, options: "QUOTE e'\\x01', DELIMITER e'\\x02'" }.freeze

      # @!attribute type [String] of PostgreSQL
      Column = Struct.new(:name, :type, :generated, keyword_init: true)

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
      end

      # @return [Array<Symbol>] each behind those that it refers to, as far as that can be
      def names
        @names ||= begin
          all = @db[:pg_tables].where(schemaname: "public").select_order_map(:tablename).map(&:to_sym) - LEFT_OUT
          Order.new(all, references.map { |row| row.values_at(:from, :to) }).tsort
        end
      end

      # Each reference between tables.
      # @return [Array<Hash>] name, from, to, deferrable, deferred
      def references
        @references ||= @db.fetch(<<~SQL).all.map { |row| row.merge(from: row[:from].to_sym, to: row[:to].to_sym) }
          SELECT conname AS name, conrelid::regclass::text AS from, confrelid::regclass::text AS to,
            condeferrable AS deferrable, condeferred AS deferred
          FROM pg_constraint WHERE contype = 'f' AND connamespace = 'public'::regnamespace ORDER BY 2, 1
        SQL
      end

      # @param table [Symbol]
      # @return [Array<Column>] without those that are kept secret
      def columns(table)
        (@columns ||= Hash.new { |hash, name| hash[name] = read_columns(name) })[table]
      end

      # @yieldparam line [String] JSON, with its line end; in the order of the primary key
      def each_line(table, &)
        @db.copy_table(@db[lines(table)], COPY, &)
      end

      # @return [Array(Integer, String)] how many rows, and the SHA-256 of their lines
      def digest(table)
        digest = Digest::SHA256.new
        rows = 0
        each_line(table) do |line|
          digest << line
          rows += 1
          yield line if block_given?
        end
        [rows, digest.hexdigest]
      end

      # So that a line is the same on every machine.
      def plainly(&)
        @db.transaction(isolation: :repeatable, read_only: true) do
          @db.run("SET LOCAL timezone = 'UTC'; SET LOCAL datestyle = 'ISO'; SET LOCAL extra_float_digits = 1; " \
                  "SET LOCAL bytea_output = 'hex'")
          yield
        end
      end

      # @return [Hash{String=>Array(Integer, Boolean)}] where each sequence stands
      def sequences
        @db[:pg_sequences].where(schemaname: "public").exclude(Sequel.like(:sequencename, "que_%"))
          .order(:sequencename).select_map(%i[sequencename last_value start_value])
          .to_h { |name, last, start| [name, [last || start, !last.nil?]] }
      end

      # @return [Integer]
      def version
        @db[:schema_info].get(:version)
      end

      # Sorts tables behind those that they refer to; in a ring, anywhere.
      class Order
        include TSort

        def initialize(names, references)
          @names = names
          @references = references.group_by(&:first).transform_values { |rows| rows.map(&:last) }
        end

        # @return [Array<Symbol>]
        def tsort
          strongly_connected_components.flatten
        end

        private

        def tsort_each_node(&)
          @names.each(&)
        end

        def tsort_each_child(name, &)
          (@references.fetch(name, []).uniq & @names).each(&)
        end
      end

      private

      def lines(table)
        fields = columns(table).map { |column| @db.literal(column.name) }.join(", ")
        "SELECT row_to_json(archived_row) FROM " \
          "(SELECT #{fields} FROM #{@db.literal(table)} ORDER BY #{order(table)}) AS archived_row"
      end

      # Text in the order of its bytes, whatever the language of the server.
      def order(table)
        keys = @db.primary_key(table) ? Array(primary_key(table)) : columns(table).map(&:name)
        types = columns(table).to_h { |column| [column.name, column.type] }
        keys.map { |key| types[key] == "text" ? "#{@db.literal(key)} COLLATE \"C\"" : @db.literal(key).to_s }.join(", ")
      end

      def primary_key(table)
        @db.fetch(<<~SQL, table.to_s).select_map(:name).map(&:to_sym)
          SELECT attname AS name FROM pg_index JOIN pg_attribute ON attrelid = indrelid AND attnum = ANY(indkey)
          WHERE indrelid = ?::regclass AND indisprimary ORDER BY array_position(indkey::int2[], attnum)
        SQL
      end

      def read_columns(table)
        rows = @db.fetch(<<~SQL, table.to_s).all
          SELECT attname AS name, format_type(atttypid, atttypmod) AS type, attgenerated <> '' AS generated
          FROM pg_attribute WHERE attrelid = ?::regclass AND attnum > 0 AND NOT attisdropped ORDER BY attnum
        SQL
        columns = rows.map { |row| Column.new(**row, name: row[:name].to_sym) }
        columns.reject { |column| column.generated || SECRET.fetch(table, []).include?(column.name) }
      end
    end
  end
end
