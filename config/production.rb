# frozen_string_literal: true

module UprightBench
  module Config
    # What has to be true before strangers can reach it. Asked by the start, by the web process and by the worker.
    module Production
      # Why it does not start.
      class Refused < Core::Error; end

      module_function

      # @raise [Refused] with a sentence that says what to do
      def check(settings = SETTINGS, db: DB)
        settings.mail_server # whether it can be understood is not found out when the first mail leaves
        settings.metrics_token
        SchemaVersion.check(db)
        return unless settings.production?

        refuse_open_doors(db)
        settings.keys
      rescue ArgumentError, SchemaVersion::Refused => e
        raise Refused, e.message
      end

      def refuse_open_doors(db)
        if Demo::Load.accounts?
          raise Refused, "this database holds the demo's accounts, whose password everybody knows. Take an empty one"
        end
        return unless Rights.owner?(db)

        raise Refused, "DATABASE_URL's role owns the tables, so it could empty the history. Give the owner's in " \
                       "DATABASE_OWNER_URL and another one here"
      end
      private_class_method :refuse_open_doors
    end
  end
end
