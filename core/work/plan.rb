# frozen_string_literal: true

module UprightBench
  module Core
    module Work
      # The work list of a job in working order, from its findings.
      #
      # First what must be settled before a hand goes in (refer), then what must be empty before anything
      # is opened (bin and bag), then what starts a drying clock, longest first, then the rest along the air path.
      class Plan
        EMPTIED_FIRST = %i[bin bag].freeze # common practice

        # @param position [Sheets::Position]
        # @param action [Symbol, String] a key of Findings::VerdictKind
        # @param also [Array<Symbol>] what is done there besides
        # @return [Numeric] hands-on minutes to reach the place, once, and do it
        def self.minutes(position, action, also: [])
          position.minutes + [action, *also].sum { |kind| Findings::VerdictKind.of(kind).minutes }
        end

        # @param sheet [Sheets::Sheet]
        # @param findings [Hash{String=>Findings::Verdict}] by position key
        # @param missing [Array<String>] keys of places where nothing is fitted
        # @param due [Hash{String=>Findings::Verdict}] what is done because its time is up
        def initialize(sheet:, findings:, missing: [], due: {})
          @sheet = sheet
          @findings = findings.merge(together(missing)).merge(due) { |_, found, timed| stronger(found, timed) }
        end

        # @return [Array<Item>]
        def call
          wanted = @sheet.walk.select { |position| @findings[position.key] && @findings[position.key].kind != :leave }
          wanted.sort_by.with_index { |position, index| [group(position), -wait_hours(position), index] }
            .map { |position| item(position) }
        end

        private

        # What was found says why, where both ask for the same.
        def stronger(found, timed)
          order = Findings::VerdictKind::KEYS
          order.index(timed.kind) > order.index(found.kind) ? timed : found
        end

        # Two that must never be without each other: where one is missing, it is fitted.
        def together(missing)
          partners = @sheet.positions.select do |place|
            place.never_without && missing.include?(place.never_without) && !missing.include?(place.key)
          end
          partners.to_h do |place|
            reason = Reason.of(:never_without, place: place.name.downcase)
            [place.never_without, Findings::Verdict.new(kind: :replace, reason: reason)]
          end
        end

        def verdict(position)
          @findings.fetch(position.key).kind
        end

        def group(position)
          return 0 if verdict(position) == :refer
          return 1 if EMPTIED_FIRST.include?(position.kind)

          verdict(position) == :wash ? 2 : 3
        end

        def wait_hours(position)
          verdict(position) == :wash ? position.drying_floor_hours.to_f : 0
        end

        def item(position)
          found = @findings.fetch(position.key)
          Item.new(position: position.key, action: found.kind, reason: found.reason,
            minutes: self.class.minutes(position, found.kind, also: found.also))
        end
      end
    end
  end
end
