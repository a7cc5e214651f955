# frozen_string_literal: true

module UprightBench
  module Web
    # Which answer an error gets. The one place where the domain's errors meet HTTP.
    module ErrorTable
      # The database cannot be reached, is going down, or has no connection left.
      AWAY = [Sequel::DatabaseConnectionError, Sequel::DatabaseDisconnectError, Sequel::PoolTimeout, PG::ConnectionBad,
              PG::UnableToSend,
              PG::AdminShutdown, PG::CrashShutdown, PG::CannotConnectNow].freeze

      # @return [Hash{Class=>Integer}]
      def self.statuses
        { Services::NotFound => 404, Services::Forbidden => 403, Services::Stale => 409, Services::Refused => 409,
          Services::Invalid => 422,
          Core::Sheets::Invalid => 422, Sequel::NoExistingObject => 409 }
      end

      # @return [Integer] 503 while the database is away; 500 for what nobody foresaw
      def self.status(error)
        return 503 if [error, error.cause].any? { |raised| AWAY.any? { |kind| raised.is_a?(kind) } }

        statuses.find { |kind, _| error.is_a?(kind) }&.last || 500
      end

      # @return [Hash{String=>String}] what goes with a status
      def self.headers(status)
        status == 503 ? { "retry-after" => "2" } : {}
      end
    end
  end
end
