# frozen_string_literal: true

module UprightBench
  module Core
    module FinalTest
      # What is tried when everything is back in, from the sheet and from what was done (common practice). Each stands
      # for kinds of part: where the sheet has none, there is nothing to try.
      class Plan
        COMPLAINT = "complaint"
        SAFETY = "safety"
        CHARGE = "charge"

        # key (Kind#trials), what must be so, and whether only where something was worked at
        USUAL = [
          ["filters", "Every filter clicks or locks, and no warning for a missing one shows", false],
          ["roll-by-hand", "The roll turns freely by hand", true],
          ["roll-power", "The brush runs under power", true],
          ["flap", "The flap closes fully", true],
          ["lid", "The lid or bin shuts without force", false],
          ["light", "The lights show what is normal", false],
          ["dock-dust", "The dock takes the dust", false],
          [CHARGE, "It charges", false]
        ].freeze
        ALWAYS = [["whistle", "No whistle and no new noise"],
                  ["full-power", "Half a minute at full power: it runs evenly and draws loose bits through"]].freeze

        # @param sheet [Sheets::Sheet]
        # @param worked [Array<String>] places that were worked at
        # @param lifted [Array<String>] light gaskets, where compressed air was used
        # @param complaint [String] in the customer's words
        # @param point [String, nil] where it was read before the work
        def initialize(sheet, worked:, complaint:, point: nil, lifted: [])
          @sheet = sheet
          @worked = worked
          @complaint = complaint
          @point = point
          @lifted = lifted
        end

        # @return [Array<Trial>] in the order in which they are tried; none where nothing was done
        def call
          return [] if @worked.empty?

          [*usual, *gaskets, *own, *always, *reading, *safety, complaint].compact
        end

        private

        def usual
          USUAL.filter_map do |key, words, worked_only|
            place = place_of(key, worked_only) || (place_with_light if key == "light")
            Trial.new(key: key, words: words, place: place.key, reason: why(place)) if place
          end
        end

        # What was worked at comes before what was not.
        def place_of(trial, worked_only)
          here = @sheet.walk.select { |place| place.kind_of_part.trials.include?(trial) }
          here = here.select { |place| charges?(place) } if trial == CHARGE
          here.find { |place| @worked.include?(place.key) } || (here.first unless worked_only)
        end

        # A powered head has contacts too; those that charge sit with the pack, or go on to a dock.
        def charges?(place)
          pack = @sheet.walk.find { |other| other.kind == :battery } or return false
          place.kind == :battery || place.station == pack.station || @sheet.walk.any? { |other| other.kind == :dock }
        end

        def place_with_light
          @sheet.walk.find { |place| place.lights.any? || place.features.include?("status_light") }
        end

        def why(place)
          name = place.name.downcase
          @worked.include?(place.key) ? Reason.of(:worked_at, place: name) : Reason.of(:always_tried, place: name)
        end

        def gaskets
          return if @lifted.empty?

          Trial.new(key: "gaskets", words: "The light gaskets lie flat: #{@lifted.join(', ')}",
            reason: Reason.of(:blown_out))
        end

        # What the sheet asks for besides.
        def own
          @sheet.tests.each_with_index.map do |words, index|
            Trial.new(key: "own-#{index}", words: words, reason: Reason.of(:sheet_asks))
          end
        end

        def always
          ALWAYS.map { |key, words| Trial.new(key: key, words: words, reason: Reason.of(:always_run)) }
        end

        def reading
          return unless @point

          Trial.new(key: "reading", words: "It pulls as it should where it was read before",
            reason: Reason.of(:read_before, point: @point))
        end

        def safety
          place = @sheet.walk.find { |one| one.kind_of_part.trait?(:live) && @worked.include?(one.key) }
          return unless place && @sheet.power == :mains

          Trial.new(key: SAFETY, words: "Its electrical safety was tested by a competent person", kind: :safety,
            place: place.key, reason: Reason.of(:worked_at, place: place.name.downcase))
        end

        def complaint
          return if Faults::Complaints.service?(@complaint) # nothing was wrong that could be gone

          Trial.new(key: COMPLAINT, words: @complaint, kind: :complaint, reason: Reason.of(:why_it_came))
        end
      end
    end
  end
end
