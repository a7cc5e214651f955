# frozen_string_literal: true

module UprightBench
  module Pictures
    # Where pictures lie: files named after what they hold, in a folder beside the database. Another place (a bucket)
    # needs only these methods.
    class Store
      # @return [Store] as the settings say
      def self.ours
        new(SETTINGS.state_dir.join("pictures"))
      end

      # @param folder [Pathname]
      def initialize(folder)
        @folder = folder
      end

      # The same name twice is the same content: it is written once, and never half.
      # @raise [SystemCallError] when there is no room for it
      # @param digest [String] 64 hex digits
      # @param size [Symbol] of Prepare::SIDES
      # @param bytes [String] a JPEG
      def put(digest, size, bytes)
        path = path(digest, size)
        Config::Storage.write(path, bytes) unless path.exist?
      end

      # @param name [String] as `each` says it
      def lay(name, bytes)
        Config::Storage.write(@folder.join(name), bytes)
      end

      # @yieldparam name [String] below the folder
      # @yieldparam path [Pathname]
      def each
        @folder.glob("*/*.jpg").sort.each { |path| yield path.relative_path_from(@folder).to_s, path }
      end

      # @return [Pathname]
      def path(digest, size)
        @folder.join(digest[0, 2], "#{digest}-#{size}.jpg")
      end
    end
  end
end
