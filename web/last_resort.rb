# frozen_string_literal: true

module UprightBench
  module Web
    # Whatever nobody answered for, below the screens or above them: the same page, and a line in the log that holds
    # nothing of what was entered.
    class LastResort
      def initialize(app)
        @app = app
      end

      def call(env)
        @app.call(env)
      rescue StandardError => e
        status = [ErrorTable.status(e), 500].max # nothing that comes this far is the sender's fault
        Config::Report.error(e, id: env["upright_bench.request_id"]) if status == 500
        Answer.page(status, env, headers: ErrorTable.headers(status))
      end
    end
  end
end
