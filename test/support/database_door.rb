# frozen_string_literal: true

require "socket"
require "uri"

# A way to the database that can be shut: whoever goes through it loses the connection and gets no other until it is
# opened again.
class DatabaseDoor
  attr_reader :port

  def initialize(url)
    @to = URI(url)
    @port = TCPServer.open("127.0.0.1", 0) { |socket| socket.addr[1] }
    @pairs = []
    open
  end

  # @return [String] the database's address, through the door
  def url
    @to.dup.tap { |uri| uri.port = @port }.to_s
  end

  def open
    @server = TCPServer.new("127.0.0.1", @port)
    @thread = Thread.new(@server) { |server| loop { let_in(server.accept) } rescue IOError } # rubocop:disable Style/RescueModifier -- it was shut
  end

  def shut
    @server.close
    @thread.kill
    @pairs.flatten.each { |socket| socket.close unless socket.closed? }
    @pairs.clear
  end

  private

  def let_in(client)
    database = TCPSocket.new(@to.host, @to.port)
    @pairs << [client, database]
    [[client, database], [database, client]].each { |from, to| Thread.new { pass(from, to) } }
  end

  def pass(from, to)
    IO.copy_stream(from, to)
  rescue IOError, SystemCallError
    nil
  ensure
    [from, to].each { |socket| socket.close unless socket.closed? }
  end
end
