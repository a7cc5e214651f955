# frozen_string_literal: true

require "fileutils"
require "json"
require "rubygems/package"
require "tempfile"
require_relative "vault"

module UprightBench
  module Launch
    module Backup
      # One file with all that a shop is: the dump of its database, its pictures and its keys, and what is in it
      # (`contents.json`). A tar, locked in a Vault.
      module Archive
        FORMAT = "upright-bench/backup/1"
        SUFFIX = ".ubb"

        module_function

        # @param path [String] where it is written; it appears when it is whole
        # @param files [Hash{String=>String}] name in it => path of a file
        # @param contents [Hash] what is said of it
        # @param scratch [String] a folder of ours, for what is not locked yet
        def write(path, files, contents:, passphrase:, scratch:)
          Tempfile.create("backup", scratch, binmode: true) do |tar|
            Gem::Package::TarWriter.new(tar) do |writer|
              add(writer, "contents.json", JSON.generate({ format: FORMAT, **contents }))
              files.each { |name, file| copy(writer, name, file) }
            end
            tar.rewind
            lock(tar, path, passphrase)
          end
        end

        # @param folder [String] an empty one, into which its files are laid
        # @return [Hash{String=>Object}] its contents.json
        # @raise [Failure]
        def read(path, folder, passphrase:)
          Tempfile.create("backup", folder, binmode: true) do |tar|
            File.open(path, "rb") { |file| Vault.unlock(file, tar, passphrase) }
            tar.rewind
            Gem::Package::TarReader.new(tar) { |reader| reader.each { |entry| lay(entry, folder) } }
          end
          contents = JSON.parse(File.read(File.join(folder, "contents.json")))
          raise Failure, "this backup is of a kind that is not known here" unless contents["format"] == FORMAT

          contents
        end

        def add(writer, name, text)
          writer.add_file_simple(name, 0o600, text.bytesize) { |io| io.write(text) }
        end

        def copy(writer, name, file)
          writer.add_file_simple(name, 0o600, File.size(file)) do |io|
            File.open(file, "rb") { |from| IO.copy_stream(from, io) }
          end
        end

        def lock(tar, path, passphrase)
          half = "#{path}.half"
          File.open(half, File::WRONLY | File::CREAT | File::TRUNC, 0o600) do |file|
            file.binmode
            Vault.lock(tar, file, passphrase)
            file.fsync
          end
          File.rename(half, path)
        ensure
          FileUtils.rm_f(half)
        end

        # Names that lead out of the folder are not ours.
        def lay(entry, folder)
          name = entry.full_name
          elsewhere = name.start_with?("/") || name.split("/").include?("..")
          raise Failure, "the backup holds a file that leads elsewhere" if elsewhere

          path = File.join(folder, name)
          FileUtils.mkdir_p(File.dirname(path))
          File.open(path, "wb", 0o600) { |file| IO.copy_stream(entry, file) }
        end
        private_class_method :add, :copy, :lock, :lay
      end
    end
  end
end
