# frozen_string_literal: true

require "json"
require "zip"

module UprightBench
  module Services
    # Writes everything of a shop into one file that other programs can read too: a ZIP with a file of JSON Lines for
    # each table, what stands in each (manifest.json), the pictures, the sheets, and the bills as they were printed.
    # Passwords and keys are not in it.
    class WriteArchive
      FORMAT = "upright-bench/archive/1"
      MANIFEST = "manifest.json"
      READ_ME = <<~WORDS
        Everything of one shop, as it was at one moment.

        manifest.json   the version of the data, and for each table its columns, rows and the SHA-256 of its file
        tables/         a file for each table, a row a line, as JSON
        pictures/       pictures that were taken, by the name that stands in tables/pictures.jsonl
        sheets/         each model sheet as a file that can be brought into another shop
        bills/          each bill as PDF

        Passwords and keys are not in it. bin/archive in FILE makes a shop of it again. It holds names and addresses of
        customers: keep it where nobody else can read it.
      WORDS

      # @param path [String] where it is written; it appears when it is whole
      # @param at [Time]
      # @param bills [Boolean] whether the bills are printed into it
      # @return [Hash] the manifest
      def self.call(path, at:, bills: true)
        half = "#{path}.half"
        manifest = Zip::OutputStream.open(half) { |zip| new(zip, at, bills).call }
        File.chmod(0o600, half)
        File.rename(half, path)
        manifest
      ensure
        FileUtils.rm_f(half)
      end

      def initialize(zip, at, bills)
        Zip.write_zip64_support = true
        @zip = zip
        @at = at
        @bills = bills
        @tables = ShopTables.new(DB)
      end

      def call
        add("README.txt") { READ_ME }
        manifest = @tables.plainly { { **head, tables: tables, sequences: @tables.sequences } }
        add(MANIFEST) { JSON.pretty_generate(manifest) }
        pictures
        sheets
        bills if @bills
        manifest
      end

      private

      def head
        { format: FORMAT, version: @tables.version, written_at: @at.utc.iso8601, shop: ShopOnFile.call.name,
          time_zone: Config::Zone.name }
      end

      def tables
        @tables.names.to_h { |name| [name, table(name)] }
      end

      def table(name)
        @zip.put_next_entry("tables/#{name}.jsonl")
        rows, digest = @tables.digest(name) { |line| @zip << line }
        { rows: rows, sha256: digest, columns: @tables.columns(name).to_h { |column| [column.name, column.type] } }
      end

      def pictures
        Pictures::Store.ours.each { |name, path| add("pictures/#{name}") { path.binread } }
      end

      def sheets
        Models::Sheet.order(:id).eager(:current_version).paged_each do |sheet|
          name = "#{sheet.id}-#{sheet.title.downcase.gsub(/[^a-z0-9]+/, '-')}"
          add("sheets/#{name}.json") { Formats::SheetFile.write(sheet.current_version.data) }
        end
      end

      def bills
        Models::Bill.order(:id).paged_each do |bill|
          add("bills/#{bill.id}-#{bill.title.downcase.gsub(/[^a-z0-9]+/, '-')}.pdf") { PrintedBill.new(bill).render }
        end
      end

      def add(name)
        @zip.put_next_entry(name)
        @zip << yield
      end
    end
  end
end
