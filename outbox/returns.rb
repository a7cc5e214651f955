# frozen_string_literal: true

require "fileutils"

module UprightBench
  module Outbox
    # What mail servers sent back, laid into a folder as a file each. A card that a report says was given up came back;
    # what is understood is deleted, anything else is laid aside for a person. A card may be back before it is written
    # down that it left: then it is read again later. Any number of workers may read at once, and again after a crash:
    # a card comes back once.
    class Returns
      UNCLEAR = "unclear"
      MOST_BYTES = 2_000_000
      KEY = /\A(\h{8}(?:-\h{4}){3}-\h{12})@/ # in front of our Message-IDs

      # @param settings [Config::Settings]
      def initialize(settings = SETTINGS)
        @folder = settings.returns_dir
      end

      # @param at [Time]
      # @return [Integer] files that were there
      def call(at: Time.now)
        files(@folder).each { |file| read(file, at) }.size
      end

      # @return [Pathname] where a person looks through what was not understood
      def unclear
        @folder.join(UNCLEAR)
      end

      # @return [Integer]
      def how_many_unclear
        files(unclear).size
      end

      private

      # A name with a dot is not there yet.
      def files(folder)
        return [] unless folder.directory?

        folder.children.select { |file| !file.basename.to_s.start_with?(".") && File.lstat(file).file? }.sort
      end

      def read(file, at)
        report = Formats::DeliveryReport.read(file.binread) if file.size <= MOST_BYTES
        message = report && message_of(report)
        return lay_aside(file) unless message

        Reached.came_back(message, report.reason, at) if report.failed?
        file.delete unless Models::Message::ON_ITS_WAY.include?(message.state)
      rescue Errno::ENOENT
        nil # another worker was through with it
      rescue SystemCallError => e
        Config::Report.error(e, what: "returned mail stays where it is")
      end

      def message_of(report)
        key = report.message_id[KEY, 1]
        key && Models::Message.first(key: key)
      end

      def lay_aside(file)
        FileUtils.mkdir_p(unclear)
        file.rename(unclear.join(file.basename))
      end
    end
  end
end
