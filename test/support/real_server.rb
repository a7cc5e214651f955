# frozen_string_literal: true

require "fileutils"
require_relative "../../hostile/wire"

# The application as it is really run: puma with our configuration, asked over a socket.
class RealServer
  UP_WITHIN_SECONDS = 90

  attr_reader :port, :log

  # @param env [Hash{String=>String}]
  def initialize(env = {})
    @port = TCPServer.open("127.0.0.1", 0) { |socket| socket.addr[1] }
    @log = File.join(ENV.fetch("STATE_DIR"), "server-#{@port}.log")
    FileUtils.mkdir_p(File.dirname(@log))
    @env = { "PORT" => @port.to_s, "APP_ENV" => "development", "PUBLIC_URL" => "http://127.0.0.1:#{@port}", **env }
    @wire = Hostile::Wire.new(@port)
  end

  def start
    @pid = Process.spawn(@env, "bundle", "exec", "puma", "-C", "config/puma.rb", chdir: TestDatabase::ROOT, out: @log,
      err: @log, pgroup: true)
    deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + UP_WITHIN_SECONDS
    until up?
      if Process.clock_gettime(Process::CLOCK_MONOTONIC) > deadline || Process.wait(@pid, Process::WNOHANG)
        raise "the server did not come up: #{File.read(@log)[-2000..]}"
      end

      sleep 0.1
    end
    self
  end

  def stop
    Process.kill("TERM", -@pid)
    Process.wait(@pid)
    File.delete(@log)
  rescue Errno::ESRCH, Errno::ECHILD
    nil
  end

  def ask(...)
    @wire.ask(...)
  end

  def raw(bytes)
    @wire.raw(bytes)
  end

  private

  def up?
    TCPSocket.new("127.0.0.1", @port).close
    true
  rescue SystemCallError
    false
  end
end
