# frozen_string_literal: true

require "open3"
require "socket"
require "timeout"
require_relative "../test_helper"

# Two requests on one kept connection. The first thread hands the connection on and waits until the second thread has
# put its headers into a buffer; only then does the first thread empty its own.
class OwnBufferTest < Minitest::Test
  PATIENCE_SECONDS = 60
  ROOT = UprightBench::Config::Settings::ROOT.to_s

  def setup
    UprightBench::Web::OwnBuffer.install
    @handed_on, @second_waits, @first_is_done = @queues = Array.new(3) { Queue.new }
    options = { min_threads: 2, max_threads: 2, log_writer: Puma::LogWriter.null }
    @server = Puma::Server.new(method(:answer), nil, options)
    @port = @server.add_tcp_listener("127.0.0.1", 0).addr[1]
    @server.run
    pause_after_handing_on
  end

  # Nothing waits any longer, however the test ended.
  def teardown
    @queues.each(&:close)
    @server.stop(true)
  end

  # An answer of unknown length: its headers stay in the buffer until the first part of the body is there.
  def answer(env)
    return [200, {}, ["first"]] if env["PATH_INFO"] == "/first"

    [200, {}, Enumerator.new do |body|
      @second_waits << true
      @first_is_done.pop
      body << "second"
    end]
  end

  def pause_after_handing_on
    handed_on, second_waits, first_is_done = @queues
    first = nil
    @server.instance_variable_get(:@reactor).define_singleton_method(:add) do |client|
      super(client).tap do
        next unless client.requests_served == 1

        first = Thread.current
        handed_on << true
        second_waits.pop
      end
    end
    @server.define_singleton_method(:process_client) do |processor, client|
      super(processor, client).tap { first_is_done << true if first == Thread.current }
    end
  end

  def test_the_second_answer_keeps_its_headers
    first, second = Timeout.timeout(PATIENCE_SECONDS) { two_on_one_connection }

    assert_match(%r{\AHTTP/1\.1 200 OK\r\n.*\r\n\r\nfirst\z}m, first)
    assert_match(%r{\AHTTP/1\.1 200 OK\r\n.*\r\n\r\n6\r\nsecond\r\n0\r\n\r\n\z}m, second)
  end

  def two_on_one_connection
    TCPSocket.open("127.0.0.1", @port) do |socket|
      socket << "GET /first HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n"
      first = socket.readpartial(1000)
      @handed_on.pop
      socket << "GET /second HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n"
      second = +""
      second << socket.readpartial(1000) until second.end_with?("second\r\n0\r\n\r\n")
      [first, second]
    end
  end

  # Another process reads the server's settings, since they tie the process to the one that started it.
  def test_the_shop_s_server_has_it
    script = <<~RUBY
      require "puma/configuration"
      Puma::Configuration.new { |user| user.load("config/puma.rb") }.load
      print Puma::Client.ancestors.include?(UprightBench::Web::OwnBuffer)
    RUBY
    said, = Open3.capture2e(RbConfig.ruby, "-rbundler/setup", "-rpuma", "-e", script, chdir: ROOT)

    assert_equal "true", said
  end
end
