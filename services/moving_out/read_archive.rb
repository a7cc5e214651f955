# frozen_string_literal: true

require "json"
require "securerandom"
require "zip"

module UprightBench
  module Services
    # Makes a shop of an archive again, in an empty database: the tables as they were when it was written, then whatever
    # has changed of them since. In the end each table is compared with what the archive says of it.
    class ReadArchive
      SLICE = 500 # rows
      PICTURE = %r{\Apictures/(\h\h/\h{64}-[a-z]+\.jpg)\z}

      # @param path [String]
      # @param owner [Sequel::Database] a connection of the role that owns the database
      # @return [Hash{String=>Array(Integer, String)}] table => rows and their digest
      # @raise [Refused] when it is none, a newer one, damaged, or something is there already
      def self.call(path, owner:, pictures: Pictures::Store.ours)
        Zip::File.open(path) { |zip| new(zip, owner, pictures).call }
      rescue Zip::Error => e
        raise Refused, "This is no archive: #{e.message}."
      end

      def initialize(zip, owner, pictures)
        @zip = zip
        @owner = owner
        @pictures = pictures
        @manifest = read_manifest
      end

      def call
        check
        Config::Database.migrate_to(@owner, @manifest.fetch("version"))
        @tables = ShopTables.new(@owner)
        load_tables
        compare
        Config::Database.migrate_to(@owner, nil)
        keep_pictures
        @manifest.fetch("tables").transform_values { |told| told.values_at("rows", "sha256") }
      end

      private

      def read_manifest
        entry = @zip.find_entry(WriteArchive::MANIFEST) or raise Refused, "This is no archive of a shop."
        JSON.parse(entry.get_input_stream.read)
      rescue JSON::ParserError
        raise Refused, "What stands in this archive cannot be read."
      end

      def check
        format, version = @manifest.values_at("format", "version")
        raise Refused, "This is no archive of a shop." unless format == WriteArchive::FORMAT
        raise Refused, "This archive is of a newer program: bring this one up to date first." if
          version > Config::SchemaVersion.newest
        raise Refused, "There is something in this database already." if @owner.tables.any?
      end

      # Triggers write what the archive holds already; references within a table, and in a ring, are checked at the end.
      def load_tables
        names = @tables.names.select { |name| @manifest["tables"].key?(name.to_s) }
        @owner.transaction do
          without_triggers do
            empty # what migrations put there
            late_references { names.each { |name| load(name) } }
          end
          @manifest.fetch("sequences").each do |name, (value, called)|
            @owner.get(Sequel.function(:setval, name, value, called))
          end
        end
      end

      def empty
        @owner.run("TRUNCATE #{@tables.names.map { |name| @owner.literal(name) }.join(', ')} CASCADE")
      end

      def without_triggers
        @tables.names.each { |name| @owner.run("ALTER TABLE #{@owner.literal(name)} DISABLE TRIGGER USER") }
        yield
        @tables.names.each { |name| @owner.run("ALTER TABLE #{@owner.literal(name)} ENABLE TRIGGER USER") }
      end

      def late_references
        early = @tables.references.reject { |row| row[:deferred] }
        early.each { |row| alter(row, "DEFERRABLE INITIALLY DEFERRED") }
        yield
        @owner.run("SET CONSTRAINTS ALL IMMEDIATE")
        early.each { |row| alter(row, row[:deferrable] ? "DEFERRABLE INITIALLY IMMEDIATE" : "NOT DEFERRABLE") }
      end

      def alter(reference, how)
        @owner.run("ALTER TABLE #{@owner.literal(reference[:from])} ALTER CONSTRAINT " \
                   "#{@owner.literal(reference[:name].to_sym)} #{how}")
      end

      def load(name)
        entry = @zip.find_entry("tables/#{name}.jsonl") or raise Refused, "The table #{name} is not in this archive."
        sql = insertion(name)
        entry.get_input_stream do |lines|
          lines.to_enum(:each_line).each_slice(SLICE) do |slice|
            @owner[sql, "[#{slice.join(',')}]".force_encoding(Encoding::UTF_8)].insert
          end
        end
      end

      # @return [String] for rows as JSON
      def insertion(name)
        columns = @tables.columns(name).map { |column| @owner.literal(column.name) }
        table = @owner.literal(name)
        "INSERT INTO #{table} (#{[*columns, *secret(name).keys].join(', ')}) OVERRIDING SYSTEM VALUE " \
          "SELECT #{[*columns, *secret(name).values].join(', ')} FROM json_populate_recordset(NULL::#{table}, ?::json)"
      end

      # A password that nobody knows, until one is given.
      # @return [Hash{String=>String}] column => expression
      def secret(name)
        return {} unless name == :people

        { "password_hash" => @owner.literal(Passwords.digest(SecureRandom.hex(24))), "password_given" => "true" }
      end

      def compare
        other = @tables.plainly do
          @manifest.fetch("tables").reject do |name, told|
            @tables.digest(name.to_sym) == told.values_at("rows", "sha256")
          end
        end
        return if other.empty?

        raise Refused, "Read in, these tables are not as the archive says: #{other.keys.join(', ')}."
      end

      # A name that leads elsewhere is not ours.
      def keep_pictures
        @zip.each do |entry|
          name = entry.name[PICTURE, 1] or next
          @pictures.lay(name, entry.get_input_stream.read)
        end
      end
    end
  end
end
