# frozen_string_literal: true

require "pty"
require "socket"

module UprightBench
  module Gauge
    # Writes lines as a device does, over TCP and a pseudo-terminal, and reads what it is told. Who includes this has
    # `line`; `told` where it heeds anything.
    module Serving
      EVERY_SECONDS = 0.2

      # Until it is ended: line after line to everybody who listens.
      # @param port [Integer, nil] on this machine alone
      # @param pty [String, nil] a path that shall lead to its pseudo-terminal
      def serve(port: nil, pty: nil)
        @listeners = []
        listen(port) if port
        lay(pty) if pty
        loop do
          written = "#{line}\r\n"
          @listeners.select! { |io| wrote?(io, written) }
          sleep every_seconds
        end
      end

      # @param line [String] what somebody wrote to it
      def told(line); end

      private

      def every_seconds
        EVERY_SECONDS
      end

      def listen(port)
        server = TCPServer.new("127.0.0.1", port)
        Thread.new do
          loop { heed(server.accept) }
        end
      end

      # The path leads to the terminal's other end, as a serial port would.
      def lay(path)
        master, other = PTY.open
        master.raw!
        other.raw!
        File.unlink(path) if File.symlink?(path)
        File.symlink(other.path, path)
        @kept = other # a terminal without it would end
        heed(master)
      end

      def heed(io)
        @listeners << io
        Thread.new do
          while (line = io.gets("\n", 500))
            told(line)
          end
        rescue SystemCallError, IOError
          nil
        end
      end

      # Nobody reads a terminal that nobody has opened: what does not fit is dropped.
      def wrote?(io, text)
        io.write_nonblock(text)
        true
      rescue IO::WaitWritable
        true
      rescue SystemCallError, IOError
        false
      end
    end
  end
end
