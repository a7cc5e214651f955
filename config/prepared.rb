# frozen_string_literal: true

module UprightBench
  module Config
    # Reads that come again are prepared: to read and to plan a statement takes the server longer than most of them take
    # to run. Numbers, days and times of a read are its parameters. Words stay in its text, so that an index of what is
    # open alone is still found. Writes are sent as they are.
    module Prepared
      MOST = 400 # a connection; the one that was not asked for longest gives way
      MOST_ONCE = 5000 # texts that are remembered because they came once

      def self.extended(db)
        db.extension :pg_auto_parameterize
        db.extend_datasets(Parameters)
      end

      # What of a statement is sent beside its text.
      module Parameters
        %i[insert_sql update_sql delete_sql multi_insert_sql].each do |write|
          define_method(write) do |*given|
            opts[:no_auto_parameterize] ? super(*given) : no_auto_parameterize.public_send(write, *given)
          end
        end

        private

        def auto_param_type(value)
          return false if value.is_a?(String)

          value.instance_of?(Time) ? "::timestamptz" : super
        end

        def _integer_array_auto_param(numbers)
          Sequel.pg_array(numbers.to_a, :int8)
        end
      end

      private

      def _execute(connection, sql, opts, &)
        given = opts[:arguments]
        name = given && prepared_name(connection, sql)
        return super unless name

        send_prepared(connection, name, sql, given, &)
      end

      def send_prepared(connection, name, sql, given)
        given = given.map { |value| bound_variable_arg(value, connection) }
        rows = connection.check_disconnect_errors do
          log_connection_yield(sql, connection, given) { run_prepared(connection, name, sql, given) }
        end
        block_given? ? yield(rows) : rows.cmd_tuples
      ensure
        rows&.clear
      end

      # A table that was changed has other columns than the plan: outside a transaction nothing is lost by asking again.
      def run_prepared(connection, name, sql, given)
        connection.exec_prepared(name, given)
      rescue PG::FeatureNotSupported
        raise unless connection.transaction_status == PG::PQTRANS_IDLE

        forget(connection, name)
        connection.exec_params(sql, given)
      end

      # @return [String, nil] nil for a text that comes for the first time
      def prepared_name(connection, sql)
        prepared = connection.prepared_statements
        name = "read_#{sql.hash}"
        return prepare(connection, name, sql) unless prepared[name] == sql

        prepared[name] = prepared.delete(name)
        name
      end

      def prepare(connection, name, sql)
        prepared = connection.prepared_statements
        return if prepared.key?(name) || first_time?(sql)

        forget(connection, prepared.keys.first) if prepared.size >= MOST
        connection.check_disconnect_errors { connection.prepare(name, sql) }
        prepared[name] = String.new(sql)
        name
      end

      def forget(connection, name)
        connection.async_exec("DEALLOCATE #{connection.quote_ident(name)}")
        connection.prepared_statements.delete(name)
      end

      def first_time?(sql)
        Sequel.synchronize do
          @once ||= {}
          return false if @once.key?(sql.hash)

          @once.clear if @once.size >= MOST_ONCE
          @once[sql.hash] = true
        end
      end
    end
  end
end
