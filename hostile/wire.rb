# frozen_string_literal: true

require "socket"

module Hostile
  # Asks a server on this machine over a socket, with whatever bytes one likes.
  class Wire
    Answer = Struct.new(:status, :headers, :body, keyword_init: true)

    HOST = "127.0.0.1"
    WAIT_SECONDS = 60

    def initialize(port)
      @port = port
    end

    # @param path [String] sent as it is
    # @param headers [Hash{String=>String}]
    # @return [Answer] with status 0 when there was none
    # @raise [SystemCallError] when nobody listens
    def ask(verb, path, body: nil, headers: {})
      lines = { "Host" => "#{HOST}:#{@port}", "Connection" => "close", **headers }
      lines["Content-Length"] ||= body.bytesize.to_s if body && !lines.key?("Transfer-Encoding")
      lines["Content-Type"] ||= "application/x-www-form-urlencoded" if body
      raw("#{verb} #{path} HTTP/1.1\r\n#{lines.map { |name, value| "#{name}: #{value}\r\n" }.join}\r\n".b + body.to_s.b)
    end

    # @param bytes [String] a whole request
    # @param hang_up [Boolean] says that no more will come: else a server waits for the rest of half a request
    # @return [Answer]
    def raw(bytes, hang_up: false)
      socket = TCPSocket.new(HOST, @port)
      begin
        socket.write(bytes)
        socket.close_write if hang_up
      rescue Errno::EPIPE, Errno::ECONNRESET, Errno::ENOTCONN
        nil # it may answer before it has read all
      end
      read(socket)
    ensure
      socket&.close
    end

    private

    def read(socket)
      text = +"".b
      text << socket.read_nonblock(65_536) while socket.wait_readable(WAIT_SECONDS)
      parse(text)
    rescue EOFError, Errno::ECONNRESET
      parse(text)
    end

    def parse(text)
      head, body = text.split("\r\n\r\n", 2)
      first, *lines = head.to_s.split("\r\n")
      Answer.new(status: first.to_s[/\AHTTP\S+ (\d+)/, 1].to_i, headers: headers(lines),
        body: body.to_s.dup.force_encoding("UTF-8").scrub)
    end

    # @return [Hash{String=>String}] name in small letters => its values, a line each
    def headers(lines)
      lines.each_with_object({}) do |line, all|
        name, value = line.split(": ", 2)
        all[name.downcase] = [all[name.downcase], value].compact.join("\n")
      end
    end
  end
end
