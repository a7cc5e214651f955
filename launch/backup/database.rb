# frozen_string_literal: true

require "json"
require "open3"
require "uri"
require_relative "../shell"

module UprightBench
  module Launch
    module Backup
      # A database as it is dumped, restored and compared, by the role that owns its tables.
      class Database
        # How rows are written down, so that they are the same everywhere.
        PLAIN = "SET timezone = 'UTC'; SET datestyle = 'ISO'; SET extra_float_digits = 1; SET bytea_output = 'hex';"
        TABLES = "SELECT tablename FROM pg_tables WHERE schemaname = 'public' ORDER BY tablename"

        # @param url [String]
        def initialize(url)
          uri = URI(url)
          @env = { "PGHOST" => uri.host, "PGPORT" => (uri.port || 5432).to_s, "PGUSER" => uri.user,
                   "PGPASSWORD" => uri.password, "PGDATABASE" => uri.path.delete_prefix("/") }
        end

        # All of it as it was at one moment, beside whoever works on.
        # @param path [String] where the dump is written
        # @return [Hash{String=>Array(Integer, String)}] table => rows and their digest, at the same moment
        # @raise [Failure]
        def dump(path)
          Open3.popen2(@env, Shell.postgres("psql"), "-X", "-q", "-A", "-t", "-v", "ON_ERROR_STOP=1") do |input, output|
            ask = ->(sql) { answer(input, output, sql) }
            ask.call("#{PLAIN} BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY")
            snapshot = ask.call("SELECT pg_export_snapshot()").first
            digests = ask.call(TABLES).to_h { |table| [table, digest(ask.call(digest_of(table)).first)] }
            Shell.run(Shell.postgres("pg_dump"), "-Fc", "--no-owner", "--snapshot=#{snapshot}", "-f", path, env: @env)
            digests
          end
        end

        # Into an empty one.
        # @raise [Failure]
        def restore(path)
          Shell.run(Shell.postgres("pg_restore"), "--no-owner", "--no-privileges", "--exit-on-error", "-d",
            @env["PGDATABASE"], path, env: @env)
        end

        # @return [Hash{String=>Array(Integer, String)}] as `dump` says it
        def digests
          tables.to_h { |table| [table, digest(sql("#{PLAIN} #{digest_of(table)}").first)] }
        end

        # @return [Array<String>]
        def tables
          sql(TABLES)
        end

        private

        def sql(text)
          Shell.run(Shell.postgres("psql"), "-X", "-q", "-A", "-t", "-v", "ON_ERROR_STOP=1", "-c", text, env: @env)
            .lines(chomp: true)
        end

        def digest_of(table)
          name = %("#{table.gsub('"', '""')}")
          "SELECT count(*) || ' ' || coalesce(md5(string_agg(line, '' ORDER BY line)), '') " \
            "FROM (SELECT md5(row::text) AS line FROM #{name} AS row) AS lines"
        end

        def digest(line)
          rows, sum = line.to_s.split(" ", 2)
          [rows.to_i, sum.to_s]
        end

        END_OF_ANSWER = "--answered--"
        private_constant :END_OF_ANSWER

        def answer(input, output, sql)
          input.puts "#{sql};", "\\echo #{END_OF_ANSWER}"
          input.flush
          lines = []
          while (line = output.gets&.chomp) != END_OF_ANSWER
            raise Failure, "the database broke off" if line.nil?

            lines << line
          end
          lines
        end
      end
    end
  end
end
