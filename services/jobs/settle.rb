# frozen_string_literal: true

module UprightBench
  module Services
    # The customer agrees: every replacement has its part or is left, the estimate is written down, and the promise is
    # given.
    class Settle
      # @param together [Boolean] one promise for all machines of the customer that are being worked on
      # @param agreed [Hash] as Agree takes it
      # @raise [Refused] while a part is not chosen, or when somebody else settled it just now
      # @raise [Invalid] when something must be agreed to by name
      def self.call(number, by:, at:, together: false, **agreed)
        job = enter(number, by, at, agreed)
        PromiseTogether.call(number, by: by, at: at) if together
        job.refresh
      end

      def self.enter(number, by, at, agreed)
        EnterState.call(number, :settled, by: by, at: at, again: ->(job) { refuse_other(job, agreed) }) do |job|
          estimate = Agree.new(job, by, at, **agreed).call
          { agreed_name: estimate.agreed_name, agreed_how: estimate.agreed_how, agreed_at: at,
            **Promises.give(job, at: at) }
        end
      end

      # The same form twice is sent once; another one is not taken, and says what stands instead.
      def self.refuse_other(job, agreed)
        kept = Quotes.agreed(job)
        if agreed.slice(:agreed_name, :agreed_how, :call_above_cents, :warranty_name)
            .all? { |name, value| kept[name] == value }
          return
        end

        raise Refused, "This was settled just now by #{kept.writer&.name || 'the customer'}: #{kept.agreed_name} " \
                       "agreed. Yours was not saved."
      end
      private_class_method :enter, :refuse_other
    end
  end
end
