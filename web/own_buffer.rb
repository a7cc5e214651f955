# frozen_string_literal: true

module UprightBench
  module Web
    # A buffer for answers that belongs to the thread, not to the connection, for Puma::Client.
    #
    # Puma 8.0.2 hands a kept connection on before it empties that connection's buffer. Another thread may by then have
    # put the next answer's headers into it: they are lost, and the browser gets a body without headers. A thread writes
    # one answer at a time, so it loses nothing by emptying its own buffer.
    module OwnBuffer
      NAME = :upright_bench_answer

      # For every server of this process.
      def self.install
        require "puma"
        require "puma/server"
        Puma::Client.prepend(self)
      end

      # @return [Puma::IOBuffer]
      def io_buffer
        thread = Thread.current
        thread.thread_variable_get(NAME) || thread.thread_variable_set(NAME, Puma::IOBuffer.new)
      end
    end
  end
end
