# frozen_string_literal: true

require "que"

module UprightBench
  module Outbox
    # Works the queue: takes jobs as they come, lets the running ones end when it is told to stop.
    class Worker
      THREADS = 2

      def run
        Que.logger = Logger.new($stderr, level: Logger::ERROR)
        locker = Que::Locker.new(worker_priorities: Array.new(THREADS))
        told = Queue.new
        %w[INT TERM].each { |name| Signal.trap(name) { told << name } }
        told.pop
        locker.stop!
      end
    end
  end
end
