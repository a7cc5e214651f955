# frozen_string_literal: true

require "fileutils"
require_relative "../launch/cluster"
require_relative "wire"

module Hostile
  # An instance to be attacked or killed: a cluster, a web process and a worker of its own in var/hostile, with the
  # demo. Nothing else is touched.
  class Instance
    ROOT = File.expand_path("..", __dir__)
    FOLDER = File.join(ROOT, "var/hostile")
    DATABASE = "hostile"
    UP_WITHIN_SECONDS = 120

    attr_reader :port, :wire

    def initialize
      FileUtils.rm_rf(Dir[File.join(FOLDER, "{outbox,pictures,web.log,worker.log}")])
      FileUtils.mkdir_p(FOLDER)
      @port = UprightBench::Launch::Shell.free_port
      @cluster = UprightBench::Launch::Cluster.new(folder: File.join(FOLDER, "postgres"),
        port: UprightBench::Launch::Shell.free_port)
      @wire = Wire.new(@port)
      @pids = {}
      @lock = Mutex.new
    end

    # The database anew, with the demo.
    # @param env [Hash{String=>String}] as in WEB_PROCESSES
    def load(env = {})
      @env = env
      @cluster.start
      @cluster.drop_database(DATABASE)
      @cluster.create_database(DATABASE)
      system(settings.merge(owner), "bundle", "exec", "rake", "demo:load", chdir: ROOT) ||
        raise("the demo could not be loaded")
    end

    # @return [Hash{String=>String}] by which a process finds it
    def settings
      { "DATABASE_URL" => @cluster.url(DATABASE), "DATABASE_OWNER_URL" => nil, "STATE_DIR" => FOLDER,
        "PORT" => @port.to_s, "APP_ENV" => "development",
        "PUBLIC_URL" => "http://127.0.0.1:#{@port}", **@env }
    end

    # @return [Hash{String=>String}] what only migrations and measuring know
    def owner
      { "DATABASE_OWNER_URL" => @cluster.owner_url(DATABASE) }
    end

    def start_web
      @pids[:web] = spawn_logged("web", "bundle", "exec", "puma", "-C", "config/puma.rb")
    end

    def start_worker
      @pids[:worker] = spawn_logged("worker", File.join(ROOT, "bin/worker"))
    end

    def wait_until_up
      deadline = Time.now + UP_WITHIN_SECONDS
      until answers?
        raise "it does not come up; its log is #{FOLDER}/web.log" if Time.now > deadline

        sleep 0.1
      end
    end

    # Starts again what ended by itself, as whatever watches over a shop's processes does: a web process that is
    # started at the moment at which the database is away ends.
    def watch
      @watching = Thread.new do
        loop do
          sleep 0.5
          @lock.synchronize { @pids.each { |name, pid| send(:"start_#{name}") if gone?(pid) } }
        end
      end
    end

    # Ends a process as a power cut would, and starts it again.
    # @param what [Symbol] web, worker or database
    def kill(what)
      return kill_database if what == :database

      @lock.synchronize do
        pid = @pids.fetch(what)
        Process.kill("KILL", -pid) unless gone?(pid)
        Process.wait(pid)
      rescue Errno::ECHILD
        nil
      ensure
        send(:"start_#{what}")
      end
    end

    def stop
      @watching&.kill
      @pids.each_value do |pid|
        Process.kill("TERM", -pid)
        Process.wait(pid)
      rescue Errno::ESRCH, Errno::ECHILD
        nil
      end
      @cluster.stop
    end

    # @param id [String] of a request
    # @return [String, nil] the error that the log reports of it
    def reported(id)
      File.foreach(File.join(FOLDER, "web.log")).map(&:scrub).find { |line| line.include?(%("id":"#{id}","error")) }
    end

    # @return [Integer] of the web process
    def resident_mb
      File.read("/proc/#{@pids.fetch(:web)}/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024
    end

    # @return [Integer] the most that it ever was
    def most_resident_mb
      File.read("/proc/#{@pids.fetch(:web)}/status")[/VmHWM:\s+(\d+)/, 1].to_i / 1024
    end

    private

    def gone?(pid)
      !Process.wait(pid, Process::WNOHANG).nil?
    rescue Errno::ECHILD
      true
    end

    def spawn_logged(name, *command)
      Process.spawn(settings, *command, chdir: ROOT, pgroup: true,
        %i[out err] => [File.join(FOLDER, "#{name}.log"), "a"])
    end

    def answers?
      @wire.ask("GET", "/healthz").status == 200
    rescue SystemCallError
      false
    end

    # Its other processes end when they see that the first is gone; until then it cannot be started.
    def kill_database
      Process.kill("KILL", @cluster.postmaster)
      50.times do
        return @cluster.start
      rescue UprightBench::Launch::Failure
        sleep 0.2
      end
      raise "the database does not come back"
    end
  end
end
