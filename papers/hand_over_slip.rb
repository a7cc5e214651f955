# frozen_string_literal: true

module UprightBench
  module Papers
    # What a customer takes home with the machine, half a sheet: what was done, what was left as it is, what comes
    # next and when, what goes back with it.
    class HandOverSlip < FlowPaper
      SHEET = :half
      MARGIN_MM = 12
      ROW = 15
      NOTE = 160 # as in "every 2 months or 20 h of use"
      LETTERS_A_LINE = 90 # of what is said below
      # heading => rows in `parts`
      PARTS = { found: "What we found", unmended: "Not mended", wet: "Still wet", done: "Done", air: "Before and after",
                left: "Left as it is", home: "At home", next: "What comes next", back: "With the machine" }.freeze

      # @param shop [Array<String>] the shop's name, then its address and phone
      # @param number [Integer] the job's
      # @param date [String]
      # @param about [Array<String>] customer, machine, serial number
      # @param parts [Hash{Symbol=>Array<Array(String, String, String)>}] as in PARTS: what, a note at the right edge,
      #   and a sentence below, or nil
      # @param notes [Array<String>]
      def initialize(shop:, number:, date:, about:, parts:, notes:)
        @shop = shop
        @number = number
        @date = date
        @about = about
        @parts = parts
        @notes = notes
        super()
      end

      private

      def title
        "Hand-over, job #{@number}"
      end

      def flow
        letterhead(@shop)
        beside("Your machine, job #{@number}", @date, size: 14, style: :bold, height: 22)
        @about.each { |text| words(text, size: 10) }
        PARTS.each { |key, heading| part(heading, @parts.fetch(key, [])) }
        space
        @notes.each { |text| words(text, size: 10) }
      end

      def part(heading, rows)
        return if rows.empty?

        room(ROW * 3)
        space
        words(heading, size: 12, style: :bold, height: 18)
        rows.each { |text, note, below| what(text, note.to_s, below) }
      end

      # What is said below stands on the same page.
      def what(text, note, below)
        height = below ? height_of(below) : 0
        room(ROW + height)
        beside(text, note)
        words(below, size: 8, height: height) if below
      end

      def height_of(below)
        below.length > LETTERS_A_LINE ? 22 : 13
      end
    end
  end
end
