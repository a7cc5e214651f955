# frozen_string_literal: true

module UprightBench
  module Papers
    # The labels of a job's trays, 62 × 29 mm: the tray itself, then one for every part that leaves the machine,
    # counted, so that a part on the rack or in a tray finds its way back.
    class TrayLabel < Label
      SIZE_MM = [62, 29].freeze

      # @param number [Integer] the job's
      # @param machine [String]
      # @param came_with [String] what was counted in; may be empty
      # @param parts [Array<Hash>] name, note (what is done with it, where it lies)
      def initialize(number:, machine:, came_with:, parts:)
        @number = number
        @machine = machine
        @came_with = came_with
        @parts = parts
        super()
      end

      private

      def title
        "Tray labels #{@number}"
      end

      def draw
        tray = ["Tray", @came_with.empty? ? "nothing came with it" : "with #{@came_with}", "#{@parts.size} parts"]
        parts = @parts.each_with_index.map do |part, index|
          [part.fetch(:name), part.fetch(:note), "#{index + 1} of #{@parts.size}"]
        end
        draw_each([tray, *parts]) { |name, note, count| label(name, note, count) }
      end

      def label(name, note, count)
        top = pdf.bounds.top
        line(@number.to_s, at: [0, top], width: 24 * MM, size: 18, style: :bold, height: 21)
        line(count, at: [24 * MM, top - 4], width: 13 * MM, size: 8, height: 11, align: :right)
        below(top, name, note)
        qr("J#{@number}", at: [38 * MM, top - 2], side: 19 * MM)
      end

      def below(top, name, note)
        width = 37 * MM
        line(name, at: [0, top - 23], width: width, size: 11, style: :bold, height: 14)
        line(@machine, at: [0, top - 38], width: width, size: 8, height: 11)
        line(note, at: [0, top - 50], width: width, size: 7, height: 18)
      end
    end
  end
end
