# frozen_string_literal: true

require "rack/attack"

module UprightBench
  module Config
    module Web
      # How often one address may try: sign-in, and the pages behind a code. Counted in this process;
      # with several web processes each counts for itself, which only loosens the limit by their number.
      module Throttle
        # A small store with what rack-attack asks of one: counters that forget.
        class Counters
          MOST = 10_000

          def initialize
            @counts = {}
            @lock = Mutex.new
          end

          def increment(key, amount = 1, expires_in:)
            @lock.synchronize do
              @counts.delete_if { |_, (_, ends)| ends < Time.now } if @counts.size > MOST
              count, ends = @counts[key]
              if ends.nil? || ends < Time.now
                count = 0
                ends = Time.now + expires_in
              end
              @counts[key] = [count + amount, ends]
              count + amount
            end
          end

          def read(key)
            @counts[key]&.first
          end

          def write(key, value, expires_in: 60)
            @lock.synchronize { @counts[key] = [value, Time.now + expires_in] }
          end

          def delete(key)
            @lock.synchronize { @counts.delete(key) }
          end

          def clear
            @lock.synchronize { @counts.clear }
          end
        end

        STORE = Counters.new
        CODES_A_MINUTE = 20
        SIGN_INS_A_MINUTE = 20

        WORDS = "Too many tries from your address. Wait a minute and try again.\n"

        module_function

        def install
          Rack::Attack.cache.store = STORE
          Rack::Attack.throttle("codes", limit: CODES_A_MINUTE, period: 60) { |request| request.ip if request.path.start_with?("/c/", "/j/") }
          Rack::Attack.throttle("sign-ins", limit: SIGN_INS_A_MINUTE, period: 60) { |request| request.ip if request.post? && request.path == "/login" }
          Rack::Attack.throttled_responder = ->(_) { [429, { "content-type" => "text/plain; charset=utf-8", "retry-after" => "60" }, [WORDS]] }
        end
      end
    end
  end
end
