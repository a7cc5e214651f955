# frozen_string_literal: true

require_relative "clerk"
require_relative "instance"

module Hostile
  # Eight large lists of parts at once to one web process: how much memory it takes.
  class Uploads
    AT_ONCE = 8
    MEGABYTES = 30
    SAMPLE_SECONDS = 0.1

    def initialize(instance, out: $stdout)
      @instance = instance
      @out = out
    end

    def call
      clerk = Clerk.new(@instance.wire)
      before = @instance.resident_mb
      @out.puts format("one list of %<mb>d MB: %<took>.1f s until answered", mb: MEGABYTES,
        took: timed { send_one(clerk) })
      took = timed { Array.new(AT_ONCE) { Thread.new { send_one(clerk) } }.each(&:join) }
      @out.puts format("%<count>d at once: %<took>.1f s", count: AT_ONCE, took: took)
      @out.puts "web process: #{before} MB before, #{@instance.resident_mb} MB after, #{@instance.most_resident_mb} " \
                "MB at the most"
    end

    private

    def timed
      started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      yield
      Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
    end

    # As many rows as there may be, of long cells, up to the size.
    def list
      @list ||= begin
        rows = "number,name,kind,price\n".b
        rows << "UP-#{rows.bytesize},#{'Long name ' * 55},belt,3.50\n" while rows.bytesize < MEGABYTES * 1024 * 1024
        rows
      end
    end

    def send_one(clerk)
      answer = clerk.upload("/shelf/list", "list_file", list)
      raise "not taken: #{answer.status} #{answer.body[0, 300]}" unless answer.status == 303
    end
  end
end
