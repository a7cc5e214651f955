# frozen_string_literal: true

require "fileutils"
require "securerandom"

module UprightBench
  module Config
    # Files of the program's own: written whole or not at all, for their owner's eyes alone.
    module Storage
      module_function

      # @param path [Pathname]
      # @param bytes [String]
      # @raise [SystemCallError] as when the disk is full; nothing of it is left behind
      def write(path, bytes)
        FileUtils.mkdir_p(path.dirname)
        half = path.dirname.join(".#{path.basename}.#{SecureRandom.hex(6)}")
        half.open("wb") do |file|
          file.write(bytes)
          file.fsync
        end
        half.rename(path.to_s)
      rescue SystemCallError
        half&.delete if half&.exist?
        raise
      end

      # @param folder [Pathname]
      # @return [Boolean] whether a file can be kept there: tried, for a disk may be full or read-only whatever its
      #   modes say
      def writable?(folder)
        path = folder.join(".probe-#{SecureRandom.hex(6)}")
        write(path, "written to see whether files can be kept here\n")
        path.delete
        true
      rescue SystemCallError
        false
      end
    end
  end
end
