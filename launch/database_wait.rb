# frozen_string_literal: true

require "pg"
require_relative "patience"

module UprightBench
  module Launch
    # Web, worker and migrations call this first and wait until the database answers: programs start in any order, and
    # a database elsewhere may start later. Needs the gems.
    module DatabaseWait
      PAUSE_SECONDS = 0.5
      CONNECT_SECONDS = 5

      module_function

      # @param url [String]
      def call(url)
        return if there?(url)

        Shell.say "Waiting for the database."
        Patience.telling("the database") { sleep PAUSE_SECONDS until there?(url) }
      end

      # One that refuses us is there, and says why to whoever asks next; one that is starting or stopping is not.
      def there?(url)
        PG.connect(url, connect_timeout: CONNECT_SECONDS).close
        true
      rescue PG::Error => e
        e.message.include?("FATAL:") && !e.message.include?("the database system is")
      end
      private_class_method :there?
    end
  end
end
