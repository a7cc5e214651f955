# frozen_string_literal: true

require "fileutils"
require "net/http"
require "socket"

# The application as it is really run: puma with our configuration, asked over a socket with whatever bytes one likes.
class RealServer
  Answer = Struct.new(:status, :headers, :body, keyword_init: true)

  UP_WITHIN_SECONDS = 90

  attr_reader :port, :log, :pid

  # @param env [Hash{String=>String}]
  def initialize(env = {})
    @port = TCPServer.open("127.0.0.1", 0) { |socket| socket.addr[1] }
    @log = File.join(TestDatabase::ROOT, "var/test/server-#{@port}.log")
    FileUtils.mkdir_p(File.dirname(@log))
    @env = { "PORT" => @port.to_s, "APP_ENV" => "development", "PUBLIC_URL" => "http://127.0.0.1:#{@port}", **env }
  end

  def start
    @pid = Process.spawn(@env, "bundle", "exec", "puma", "-C", "config/puma.rb", chdir: TestDatabase::ROOT, out: @log, err: @log, pgroup: true)
    deadline = Time.now + UP_WITHIN_SECONDS
    until up?
      raise "the server did not come up: #{File.read(@log)[-2000..]}" if Time.now > deadline || Process.wait(@pid, Process::WNOHANG)

      sleep 0.1
    end
    self
  end

  def stop
    Process.kill("TERM", -@pid)
    Process.wait(@pid)
  rescue Errno::ESRCH, Errno::ECHILD
    nil
  end

  # @param path [String] sent as it is
  # @param headers [Hash{String=>String}]
  # @return [Answer]
  def ask(verb, path, body: nil, headers: {})
    lines = { "Host" => "127.0.0.1:#{@port}", "Connection" => "close", **headers }
    lines["Content-Length"] ||= body.bytesize.to_s if body && !lines.key?("Transfer-Encoding")
    lines["Content-Type"] ||= "application/x-www-form-urlencoded" if body
    raw("#{verb} #{path} HTTP/1.1\r\n#{lines.map { |name, value| "#{name}: #{value}\r\n" }.join}\r\n#{body}")
  end

  # @param bytes [String] a whole request
  def raw(bytes)
    socket = TCPSocket.new("127.0.0.1", @port)
    begin
      socket.write(bytes)
    rescue Errno::EPIPE, Errno::ECONNRESET
      nil # it may answer before it has read all
    end
    read(socket)
  ensure
    socket&.close
  end

  def resident_mb
    File.read("/proc/#{@pid}/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024
  end

  private

  def up?
    TCPSocket.new("127.0.0.1", @port).close
    true
  rescue SystemCallError
    false
  end

  def read(socket)
    text = +"".b
    loop { text << socket.readpartial(65_536) }
  rescue EOFError, Errno::ECONNRESET
    head, body = text.split("\r\n\r\n", 2)
    first, *lines = head.to_s.split("\r\n")
    headers = lines.each_with_object({}) { |line, all| name, value = line.split(": ", 2); (all[name.downcase] ||= []) << value.to_s } # rubocop:disable Style/Semicolon
    Answer.new(status: first.to_s[/\AHTTP\S+ (\d+)/, 1].to_i, headers: headers.transform_values { |all| all.join("\n") }, body: body.to_s.force_encoding("UTF-8"))
  end
end
