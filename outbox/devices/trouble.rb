# frozen_string_literal: true

require "digest"

module UprightBench
  module Outbox
    module Devices
      # What may go wrong with a stand-in, so that it can be seen what then happens: in so many of a hundred hand-overs
      # it is late, fails, takes a thing without an answer, takes it twice, refuses the address, or (mail alone) sends
      # it back later.
      #
      #   DEVICE_TROUBLE="email: fail 10, refuse 2; text: late 50"
      #
      # The same hand-over meets the same trouble whenever it is repeated; another try may meet another.
      class Trouble
        KINDS = %w[late fail unanswered twice refuse return].freeze
        LATE_SECONDS = 2

        # The stand-in's own failure: it did not take the thing, or does not say that it did.
        class Failure < Core::Error; end

        # @param channel [String]
        # @param settings [Config::Settings]
        # @raise [ArgumentError] when the setting says something else
        def self.for(channel, settings)
          said = settings.device_trouble.to_s.split(";").to_h do |part|
            part.split(":", 2).map(&:strip).push("").first(2)
          end
          new(said.fetch(channel, "").split(",").to_h do |part|
            percent(part, channel == "email" ? KINDS : KINDS - %w[return])
          end)
        end

        def self.percent(part, kinds)
          kind, share = part.split
          unless kinds.include?(kind) && share.to_s.match?(/\A\d{1,3}\z/)
            raise ArgumentError, "DEVICE_TROUBLE knows #{kinds.join(', ')} with a percentage, not #{part.inspect}"
          end

          [kind, share.to_i]
        end
        private_class_method :percent

        # @param shares [Hash{String=>Integer}] kind => percent
        def initialize(shares = {})
          @shares = shares
        end

        # @param what [String] the same for the same hand-over
        # @param to [String] whom it is for
        # @yield hands the thing over; once more where it is taken twice
        # @raise [Rejected, Failure]
        def around(what, to:, &hand_over)
          return yield if @shares.empty?
          raise Rejected, "no such address" if hit?("refuse", to)
          raise Failure, "it is not answering" if hit?("fail", what)

          sleep LATE_SECONDS if hit?("late", what)
          yield
          hand_over.call if hit?("twice", what)
          raise Failure, "no answer came" if hit?("unanswered", what)
        end

        # @param to [String] whom it was for
        def returns?(to)
          hit?("return", to)
        end

        private

        def hit?(kind, what)
          share = @shares.fetch(kind, 0)
          share.positive? && Digest::SHA256.digest("#{kind} #{what}").unpack1("N") % 100 < share
        end
      end
    end
  end
end
