# frozen_string_literal: true

module UprightBench
  module Screens
    module Strip
      # The sentences of the tray. `page` is a Queries::StripPage, `lane` one of its lanes.
      module StripWords
        LANE = { shut: "to come", out: "on the tray", back: "back in" }.freeze

        def lane_state_words(lane)
          LANE.fetch(lane.state)
        end

        # @return [Symbol] the part of the page that says what comes now
        def strip_part(page)
          return :_in_hand if page.in_hand
          return :_closed if page.lanes.empty?
          return :_work if page.to_do.any?
          return :_drying if page.drying.any?

          page.tools.any? ? :_tools : :_closed
        end

        # @return [String] when nothing is open
        def closed_words(page)
          missing = page.differences.any? { |difference| difference.settled_at.nil? }
          return "Closed, and not all of it is there" if missing

          page.lanes.any? { |lane| lane.state == :back } ? "Everything is back" : "Nothing to open"
        end

        def in_hand?(page, lane)
          page.in_hand&.last == lane
        end

        # @return [String] as in "Off, 2 of 5"
        def strip_place_words(page, way, lane)
          return "Off, #{page.lanes.index(lane) + 1} of #{page.lanes.size}" if way == :out

          "Back, #{page.open.size} to go"
        end

        # @return [Array<Array(Core::Sheets::Fastener, String, Integer)>] what comes off, its letter on the drawing, and
        #   how many there are
        def loose_pieces(lane)
          counts = lane.pieces.to_h { |piece| [piece.key, piece.count] }
          lane.step.fasteners.each_with_index.select { |held, _| held.loose? }.map do |held, row|
            [held, (Core::Strip::Picture.letter(row) if held.at.any?), counts.fetch("fastener-#{row}")]
          end
        end

        # @return [Array<Core::Strip::Piece>]
        def other_pieces(lane)
          lane.pieces.reject { |piece| piece.key.start_with?("fastener-") }
        end

        # @return [String] what is lifted off by hand on the way, since the step before that is counted
        def by_hand_words(page, step)
          before = page.sheet.before(step.key)
          way = page.tray.plan.opening.map(&:step).select { |other| before.include?(other.key) }
          way.reverse.take_while { |other| !other.counted? }.reverse.map(&:name).join(", then ").downcase
        end

        # @return [Array<String>] what makes it safe, in this step and in those by hand before it
        def safe_words(page, step)
          [*page.sheet.before(step.key).reverse.map { |key| page.sheet.step(key) }, step].filter_map(&:safe).uniq
        end

        # @return [String] as in "Cones: rack slot 7, dry Sat 20:12."
        def drying_words(page, stay)
          item = page.items.find { |one| one.id == stay.work_item_id }
          "#{page.sheet.position(item.position).name}: #{stay.lies}, dry #{moment(stay.dry_at)}."
        end

        # @return [String] as in "Out: 7 × T8, 8 mm; 1 × cyclone gasket"
        def pieces_words(pieces)
          pieces.map { |piece| "#{piece.count} × #{piece.words}" }.join("; ")
        end

        # @return [String] what the button says
        def tray_button(way, lane)
          count = lane.pieces.sum(&:count)
          where = way == :out ? "off" : "back"
          count == 1 ? "It is #{where}" : "All #{count} are #{where}"
        end

        # @return [String] who opened it and when, and whether anybody counted
        def lane_words(lane)
          row = lane.opened or return "Not opened yet."
          counted = row.counted_out ? "" : ", not counted"
          return "Out since #{moment(row.opened_at)}, #{row.opener.name}#{counted}." if lane.state == :out

          "Back in #{moment(row.closed_at)}, #{row.closer.name}."
        end

        # @return [String] what is done with the machine now
        def strip_state_words(page)
          if page.open.any?
            return "#{counted(page.out_now, 'piece')} on the tray, #{counted(page.open.size, 'step')} open."
          end

          page.lanes.any? { |lane| lane.state == :back } ? "Everything is closed." : "Nothing is open."
        end

        # @return [String] how far it is opened, as the job's page says it
        def tray_words(page)
          shut = page.lanes.all? { |lane| lane.state == :shut }
          shut ? "#{counted(page.lanes.size, 'step')} with loose parts." : strip_state_words(page)
        end

        def tray_link_words(page)
          way, lane = page.in_hand
          return "See the tray" unless lane

          name = lane.step.name.downcase
          way == :out ? "Next: #{name}" : "Close again after “#{name}”"
        end

        # @return [Array<String>] how it is done and what to mind, a sentence each
        def step_minds(step)
          [*step.fasteners.reject(&:loose?).map { |held| "#{held.words}." }, step.never].compact
        end

        # @return [Array<String>] how it goes back
        def back_minds(step)
          [step.orientation, step.tight, step.never].compact
        end

        # @return [String] parts that go back before this step is closed
        def goes_in_words(page, step)
          before = page.refit.take_while { |back| back.step != step }.reject { |back| back.step&.counted? }
          parts = before.select { |back| behind?(page.sheet, back, step) }.flat_map(&:places)
          parts.map { |place| place.name.downcase }.join(", then ")
        end

        def behind?(sheet, back, step)
          return sheet.before(back.step.key).include?(step.key) if back.step

          sheet.openers(back.places.first.key)
            .any? { |opener| opener == step || sheet.before(opener.key).include?(step.key) }
        end

        def missing_piece_words(difference)
          at = " (#{difference.noter.name}, #{moment(difference.noted_at)})"
          "#{Services::AllBack.words(difference)}#{at}"
        end

        def found_again_words(difference)
          return "found, #{difference.settler.name}, #{moment(difference.settled_at)}" unless difference.explanation

          "#{difference.explanation} (#{difference.settler.name}, #{moment(difference.settled_at)})"
        end
      end
    end
  end
end
