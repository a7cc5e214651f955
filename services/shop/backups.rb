# frozen_string_literal: true

require "json"
require "time"

module UprightBench
  module Services
    # When the shop was last backed up, as bin/backup leaves word beside the data.
    module Backups
      FILE = "backup.last"
      TOO_OLD_SECONDS = 86_400 # a day's work is what a shop may lose at most (house rule)

      Last = Struct.new(:at, :path, :kilobytes, keyword_init: true)

      module_function

      # @return [Last, nil]
      def last(settings = SETTINGS)
        said = JSON.parse(settings.state_dir.join(FILE).read)
        Last.new(at: Time.iso8601(said.fetch("at")), path: said.fetch("path"), kilobytes: said.fetch("kilobytes"))
      rescue SystemCallError, JSON::ParserError, KeyError, ArgumentError, TypeError
        nil
      end

      # The demo need not be backed up.
      # @return [Boolean] whether a shop of one's own has none that is young enough
      def missing?(at:, settings: SETTINGS)
        return false unless settings.keys_file.exist?

        last = last(settings)
        last.nil? || last.at < at - TOO_OLD_SECONDS
      end
    end
  end
end
