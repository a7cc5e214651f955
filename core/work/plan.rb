# frozen_string_literal: true

module UprightBench
  module Core
    module Work
      # The work list of a job in working order, from its findings.
      #
      # First what must be settled before a hand goes in (refer), then what must be empty before anything
      # is opened (bin and bag), then what starts a drying clock, longest first, then the rest along the air path.
      class Plan
        # Minutes an action takes, beside the minutes to reach its place (house rules).
        ACTION_MINUTES = { refer: 5, clean: 5, wash: 8, replace: 3 }.freeze
        EMPTIED_FIRST = %i[bin bag].freeze # common practice

        # @param sheet [Sheets::Sheet]
        # @param findings [Hash{String=>Findings::Verdict}] by position key
        # @param missing [Array<String>] keys of places where nothing is fitted
        def initialize(sheet:, findings:, missing: [])
          @sheet = sheet
          @findings = findings.merge(together(missing))
        end

        # @return [Array<Item>]
        def call
          wanted = @sheet.walk.select { |position| @findings[position.key] && @findings[position.key].mark != :leave }
          wanted.sort_by.with_index { |position, place| [group(position), -wait_hours(position), place] }.map { |position| item(position) }
        end

        private

        # Two that must never be without each other: where one is missing, it is fitted.
        def together(missing)
          partners = @sheet.positions.select { |place| place.never_without && missing.include?(place.never_without) && !missing.include?(place.key) }
          partners.to_h do |place|
            reason = "Nothing is fitted here, and #{place.name.downcase} must never be without it."
            [place.never_without, Findings::Verdict.new(mark: :replace, reason: reason, clause: :never_without)]
          end
        end

        def mark(position)
          @findings.fetch(position.key).mark
        end

        def group(position)
          return 0 if mark(position) == :refer
          return 1 if EMPTIED_FIRST.include?(position.kind)

          mark(position) == :wash ? 2 : 3
        end

        def wait_hours(position)
          mark(position) == :wash ? position.drying_floor_hours.to_f : 0
        end

        def item(position)
          Item.new(position: position.key, action: mark(position), reason: @findings.fetch(position.key).reason,
                   minutes: position.minutes + ACTION_MINUTES.fetch(mark(position)))
        end
      end
    end
  end
end
