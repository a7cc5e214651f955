# frozen_string_literal: true

require "que"
require "rbconfig"

module UprightBench
  module Outbox
    # Works the queue: takes jobs as they come, lets the running ones end when it is told to stop. When the database
    # goes away it waits until it is back, and begins anew.
    class Worker
      THREADS = 2
      LOOK_AGAIN_SECONDS = 1
      READ_RETURNS_SECONDS = 30
      ROUND_SECONDS = 3600
      SEAL_SECONDS = 60
      PLAN_SECONDS = 600

      # @param plan [#call] makes the plan of the bench anew, as time has passed, with the time it is
      # @param ways [#during] what holds for all that is done for the shop
      # @param round [#call] what the day asks for by itself, with the time it is
      # @param seal [#call] seals what happened since
      def initialize(round, seal:, plan:, ways:)
        @round = round
        @seal = seal
        @plan = plan
        @ways = ways
      end

      def run
        Thread.report_on_exception = false
        set_up_queue
        @told = Queue.new
        %w[INT TERM].each { |name| Signal.trap(name) { @told << name } }
        locker = Que::Locker.new(worker_priorities: Array.new(THREADS))
        beside_the_queue
        @told.pop
        locker.stop!
      rescue Sequel::DatabaseError, PG::Error => e
        begin_anew(e)
      end

      private

      def set_up_queue
        Que.logger = nil # its lines hold whole rows; what goes wrong is reported by kind and place
        Que.error_notifier = ->(error, job) { Config::Report.error(error, what: job && job[:job_class]) }
        Que.job_middleware.push(->(_job, &job) { @ways.during(&job) })
      end

      def beside_the_queue
        Thread.new { again_and_again(READ_RETURNS_SECONDS, "returned mail") { Returns.new.call } }
        Thread.new { again_and_again(SEAL_SECONDS, "seals") { @seal.call } }
        Thread.new { again_and_again(PLAN_SECONDS, "plan of the bench") { @plan.call(at: Time.now) } }
        Thread.new { again_and_again(ROUND_SECONDS, "daily round") { @round.call(at: Time.now) } }
      end

      # Whatever goes wrong here, cards go on leaving.
      def again_and_again(seconds, what, &work)
        loop do
          sleep seconds
          @ways.during(&work)
        rescue StandardError => e
          Config::Report.error(e, what: what)
        end
      end

      # The queue's threads end the process when they lose their connection. What they held is gone with it, and a new
      # program in place of this one has nothing left of them.
      def begin_anew(error)
        Thread.list.each { |thread| thread.abort_on_exception = false }
        Config::Report.error(error, what: "the worker lost the database and waits for it")
        sleep LOOK_AGAIN_SECONDS until @told.size.positive? || database?
        exec(RbConfig.ruby, $PROGRAM_NAME) if @told.empty?
      end

      def database?
        Sequel.connect(SETTINGS.database_url, test: true, keep_reference: false).disconnect
        true
      rescue Sequel::DatabaseError
        false
      end
    end
  end
end
