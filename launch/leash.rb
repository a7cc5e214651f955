# frozen_string_literal: true

module UprightBench
  module Launch
    # Ends a process when the one that started it is gone, however that went, kill -9 too: then nobody holds the other
    # end of the pipe between them any more.
    module Leash
      VARIABLE = "UPRIGHT_BENCH_LEASH" # which file descriptor it is, for the process that is held

      module_function

      # In the process that is held; nothing where nobody holds it. It lasts when the process is exchanged for another
      # program.
      def hold
        number = ENV.fetch(VARIABLE, nil) or return
        pipe = IO.for_fd(Integer(number), autoclose: false)
        pipe.close_on_exec = false
        Thread.new do
          pipe.read
          Process.kill("TERM", Process.pid)
        end
      rescue SystemCallError
        nil # it was started by hand, with a variable from somewhere else
      end
    end
  end
end
