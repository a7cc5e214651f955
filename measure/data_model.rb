# frozen_string_literal: true

module UprightBench
  module Measure
    # docs/data-model.md, drawn from the schema: each table with its sentence, its columns, and what they refer to.
    class DataModel
      FILE = Config::Settings::ROOT.join("docs/data-model.md")
      NOT_OURS = %i[schema_info que_jobs que_lockers que_values].freeze
      HEAD = <<~MARKDOWN
        # Data model
        Drawn from the schema by `bin/rake docs:data_model`; a test says when it is stale. The sentences are the
        tables' comments in the database. Constraints, triggers and indexes are in `migrations/`.

      MARKDOWN

      # @param database [Sequel::Database]
      def initialize(database)
        @database = database
      end

      def write
        FILE.write(text)
      end

      # @return [String] Markdown
      def text
        HEAD + drawing + tables.map { |table| section(table) }.join("\n")
      end

      private

      def tables
        @tables ||= (@database.tables - NOT_OURS).sort
      end

      # What refers to what, as a drawing that is made where the page is shown.
      def drawing
        arrows = tables.flat_map { |table| [table].product(references(table).values.uniq.sort) }
          .map { |from, to| "  #{from} --> #{to}" }
        "```mermaid\nflowchart LR\n#{arrows.join("\n")}\n```\n\n"
      end

      def section(table)
        rows = @database.schema(table).map { |name, column| "| #{name} | #{type(column)} | #{refers(table, name)} |" }
        "## #{table}\n#{comment(table)}\n\n| column | type | refers to |\n| --- | --- | --- |\n#{rows.join("\n")}\n"
      end

      def type(column)
        column[:allow_null] ? "#{column[:db_type]}, may be empty" : column[:db_type]
      end

      def refers(table, column)
        references(table)[column]
      end

      # @return [Hash{Symbol=>Symbol}] column => table
      def references(table)
        @references ||= {}
        @references[table] ||= @database.foreign_key_list(table).select { |key| key[:columns].one? }
          .to_h { |key| [key[:columns].first, key[:table]] }
      end

      def comment(table)
        @database.get(Sequel.function(:obj_description, Sequel.cast(table.to_s, :regclass), "pg_class"))
      end
    end
  end
end
