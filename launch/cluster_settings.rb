# frozen_string_literal: true

module UprightBench
  module Launch
    # How a private cluster is set, beside what PostgreSQL does by itself.
    module ClusterSettings
      # Off in tests. A database that autovacuum is looking at cannot be dropped by one who is no superuser.
      FAST = %w[fsync synchronous_commit full_page_writes autovacuum].freeze
      # What went wrong is logged without the rows and statements it went wrong with: they hold names and addresses.
      SILENT = { "log_error_verbosity" => "terse", "log_min_error_statement" => "panic",
                 "log_parameter_max_length_on_error" => "0" }.freeze
      # A file for each day of the month, written anew when its day comes round.
      ROTATED = { "logging_collector" => "on", "log_filename" => "server-%d.log", "log_rotation_age" => "1d",
                  "log_truncate_on_rotation" => "on" }.freeze

      module_function

      # @param folder [String] of the cluster
      # @param archiving [String] path of what says to whom the log is handed over
      # @return [Hash{String=>Object}]
      def of(folder, port:, fast:, archiving:)
        { "listen_addresses" => "127.0.0.1", "port" => port, "unix_socket_directories" => folder, **SILENT,
          **(fast ? FAST.to_h { |name| [name, "off"] } : ROTATED), **handing_over(archiving) }
      end

      # Each piece of the write-ahead log, as soon as it is full, and at least once a minute while there is work.
      def handing_over(archiving)
        return {} unless File.exist?(archiving)

        { "archive_mode" => "on", "archive_timeout" => "60",
          "archive_command" => "pgbackrest --config=#{archiving} --stanza=shop archive-push %p" }
      end
      private_class_method :handing_over
    end
  end
end
