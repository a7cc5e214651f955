# frozen_string_literal: true

module UprightBench
  module Core
    module Strip
      # Something that lies on the tray, or could be left out: counted out when a step is opened, and in when it is
      # closed.
      #
      # @!attribute key [String] within its step
      # @!attribute words [String] as in "T8, 8 mm"
      # @!attribute count [Integer]
      class Piece
        include Value

        fields :key, :words, :count

        # @param step [Sheets::Step]
        # @return [Array<Piece>]
        def self.of(step)
          loose(step) + named("part", step.may_lift) + named("plug", step.connectors)
        end

        def self.loose(step)
          held = step.fasteners.each_with_index.select { |fastener, _| fastener.loose? }
          held.map do |fastener, row|
            new(key: "fastener-#{row}", count: fastener.count,
              words: fastener.words.delete_prefix("#{fastener.count} × "))
          end
        end

        def self.named(kind, names)
          names.each_with_index.map { |words, index| new(key: "#{kind}-#{index}", words: words, count: 1) }
        end
        private_class_method :loose, :named
      end
    end
  end
end
