# frozen_string_literal: true

require_relative "../launch/cluster"

module UprightBench
  module Measure
    # Makes the shop of ten years in a private cluster of its own, unless it is there, and measures on it. The
    # application's role may make no databases; this needs none of the application until there is one.
    class TenYears
      ROOT = File.expand_path("..", __dir__)

      def initialize(customers:)
        @customers = Integer(customers)
        @cluster = Launch::Cluster.new(folder: File.join(ROOT, "var/ten-years-postgres"))
        @name = "ten_years_with_parts_#{@customers}"
      end

      def call
        @cluster.start
        make unless there?
        rake("db:migrate", @name)
        rake("bench:ten_years_here", @name)
      ensure
        @cluster.stop
      end

      private

      def there?
        @cluster.sql("SELECT 1 FROM pg_database WHERE datname = '#{@name}'") == "1"
      end

      # Under another name until it is whole.
      def make
        @cluster.drop_database("#{@name}_making")
        @cluster.create_database("#{@name}_making")
        rake("demo:ten_years", "#{@name}_making")
        @cluster.sql("ALTER DATABASE #{@name}_making RENAME TO #{@name}")
      end

      # As the owner of the tables: what goes in by COPY, and what a measurement leaves behind, is not the application's
      # to write and to delete.
      def rake(task, database)
        env = { "DATABASE_URL" => @cluster.owner_url(database), "CUSTOMERS" => @customers.to_s }
        system(env, "bundle", "exec", "rake", task, chdir: ROOT) || raise("#{task} failed")
      end
    end
  end
end
