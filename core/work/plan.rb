# frozen_string_literal: true

module UprightBench
  module Core
    module Work
      # The work list of a job in working order, from its findings.
      #
      # First what must be settled before a hand goes in (refer), then what must be empty before anything is opened,
      # then what dusts, outdoors, then what is cut free; then what starts a drying clock, longest first, then what else
      # is cleaned, along the air path. New parts come last: nothing is fitted before seals and hose are clean (all
      # common practice).
      class Plan
        CLEANING = { emptied: 1, dusts: 2, cut_free: 3, along_the_air: 5 }.freeze # Kind#cleaned => group
        FITTED = 6 # the last group

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
          wanted = @sheet.walk.select { |position| wanted?(position) }
          @fitted = wanted.select { |position| group(position) == FITTED }.map(&:key)
          wanted.sort_by.with_index { |position, index| [group(position), *within(position), index] }
            .map { |position| item(position) }
        end

        private

        def wanted?(position)
          found = @findings[position.key]
          found && found.kind != :leave
        end

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
          case verdict(position)
          when :refer then 0
          when :clean then CLEANING.fetch(position.kind_of_part.cleaned)
          when :wash then 4
          else FITTED
          end
        end

        # What dries longest comes first; of new parts, what lies behind others that come off for it.
        def within(position)
          [-wait_hours(position), group(position) == FITTED ? -behind(position) : 0]
        end

        # @return [Integer] new parts in whose place something comes off on the way to this one
        def behind(position)
          @ways ||= Strip::Ways.new(@sheet)
          off = @ways.to([position.key]).flat_map(&:takes_off) - [position.key]
          (@fitted & off).size
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
