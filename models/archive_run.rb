# frozen_string_literal: true

module UprightBench
  module Models
    # Everything of the shop in one file, as the owner asked for it.
    class ArchiveRun < Sequel::Model(:archive_runs)
      many_to_one :asker, class: "UprightBench::Models::Person", key: :asked_by

      # @return [Pathname] beside the database, for the program's eyes alone
      def path
        SETTINGS.state_dir.join("archives", "#{id}.zip")
      end

      # @return [Boolean] whether it can be fetched
      def there?
        !finished_at.nil? && failed.nil? && gone_at.nil? && path.exist?
      end
    end
  end
end
