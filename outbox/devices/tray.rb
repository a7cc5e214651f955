# frozen_string_literal: true

require "fileutils"

module UprightBench
  module Outbox
    module Devices
      # A folder that takes each thing once. A name appears with its whole content or not at all, and a
      # second put of the same name changes nothing: what was handed over stays handed over.
      class Tray
        # @param folder [Pathname]
        # @param trouble [Trouble]
        def initialize(folder, trouble = Trouble.new)
          @folder = folder
          @trouble = trouble
        end

        # @param name [String]
        # @param bytes [String]
        # @param tries [Integer] how often it was tried, this time included
        # @param to [String] whom it is for
        # @raise [Rejected, Trouble::Failure]
        def put(name, bytes, tries: 1, to: name)
          @trouble.around("#{name} #{tries}", to: to) { lay(name, bytes) }
        end

        def has?(name)
          path(name).exist?
        end

        private

        def lay(name, bytes)
          FileUtils.mkdir_p(@folder)
          draft = @folder.join(".#{name}.#{Process.pid}.#{Thread.current.object_id}")
          File.binwrite(draft, bytes)
          appear(draft, name)
        ensure
          FileUtils.rm_f(draft) if draft
        end

        # A link is made whole or not at all, and only where nothing stands.
        def appear(draft, name)
          File.link(draft, path(name))
        rescue Errno::EEXIST
          nil
        end

        def path(name)
          @folder.join(name)
        end
      end
    end
  end
end
