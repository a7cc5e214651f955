# frozen_string_literal: true

module UprightBench
  module Drawings
    class Ribbon
      # Where everything of a sheet's ribbon lies, and all of it that does not depend on a job: drawn once for each
      # sheet.
      class Layout
        BAND = 30          # thickness of the ribbon
        BAND_Y = 46        # its middle, from the top of a row
        HANG_Y = 92        # middle of a mark that hangs
        EDGE = 16
        PX_A_LETTER = 7.0

        # One station: its key, the box behind it, its name and joint, and its places.
        StationDrawing = Struct.new(:key, :box, :box_in_hand, :name, :places)
        # One place: its key and name, and what is drawn before and after its mark.
        PlaceDrawing = Struct.new(:key, :name, :before, :after)

        MOST_KEPT = 400
        @kept = {}.compare_by_identity
        @lock = Mutex.new

        # @param sheet [Core::Sheets::Sheet]
        # @param form [Hash] Ribbon::WIDE or NARROW
        # @return [Layout]
        def self.of(sheet, form)
          @lock.synchronize do
            @kept.clear if @kept.size >= MOST_KEPT
            (@kept[sheet] ||= {})[form[:width]] ||= new(sheet, form)
          end
        end

        # @return [Array<Array(String, Array<StationDrawing>)>] each row's band and stations
        attr_reader :rows

        # @return [Integer]
        attr_reader :height

        def initialize(sheet, form)
          @sheet = sheet
          @form = form
          lines = lay
          @height = lines.size * form[:row]
          @rows = lines.each_with_index.map { |stations, index| draw_row(stations, index, lines.size) }
        end

        private

        # Stations into as few rows as hold them, the rows as even as they can be, the slots then stretched to fill.
        def lay
          room = (@form[:width] - (2 * EDGE)) / @form[:slot]
          fewest = rows_of(room).size
          rows_of((1..room).find { |slots| rows_of(slots).size <= fewest })
        end

        def rows_of(room)
          @sheet.stations.each_with_object([[]]) do |station, rows|
            rows << [] if rows.last.any? && rows.last.sum { |stop| slots(stop) } + slots(station) > room
            rows.last << station
          end
        end

        def slots(station)
          [@sheet.at(station.key).size, 1].max
        end

        def draw_row(stations, index, count)
          top = index * @form[:row]
          step = (@form[:width] - (2 * EDGE)) / stations.sum { |station| slots(station) }.to_f
          left = EDGE.to_f
          drawn = stations.map do |station|
            draw_station(station, left, step, top).tap { left += step * slots(station) }
          end
          [band(top, index.zero?, index == count - 1), drawn]
        end

        # The floor end flares, the exhaust end points on; between rows the ribbon runs off and comes back.
        def band(top, first, last)
          above, below = [-1, 1].map { |side| top + BAND_Y + (side * (BAND / 2)) }
          start, back = first ? flared_start(above, below) : ["M0 #{below}", "L0 #{above}z"]
          Svg.tag(:path, d: start + (last ? pointed_end(above, below) : "L#{@form[:width]} #{below}V#{above}") + back,
            class: "band")
        end

        # Where the air goes in.
        def flared_start(above, below)
          ["M2 #{below + 9}L#{EDGE + 12} #{below}", "L#{EDGE + 12} #{above}L2 #{above - 9}z"]
        end

        # Where it comes out.
        def pointed_end(above, below)
          right = @form[:width] - EDGE
          "L#{right} #{below}L#{@form[:width] - 2} #{(above + below) / 2}L#{right} #{above}"
        end

        def draw_station(station, left, step, top)
          width = step * slots(station)
          name = Svg.text(station.name, x: left + (width / 2), y: top + 20, class: "station-name",
            text_anchor: "middle")
          boxes = ["station", "station station-in-hand"].map do |css|
            station_box(station, left + 2, top + 2, width - 4, css)
          end
          StationDrawing.new(station.key, *boxes, name + joint(left, top), draw_places(station, left, step, top))
        end

        def draw_places(station, left, step, top)
          @sheet.at(station.key).each_with_index
            .map { |position, index| draw_place(position, left + (step * (index + 0.5)), top, step) }
        end

        def station_box(station, left, top, width, css)
          Svg.tag(:rect, x: left, y: top, width: width, height: @form[:row] - 6, rx: 6, data_station: station.key,
            class: css)
        end

        def joint(left, top)
          return "" if left <= EDGE

          Svg.tag(:line, x1: left, y1: top + BAND_Y - (BAND / 2), x2: left, y2: top + BAND_Y + (BAND / 2),
            class: "joint")
        end

        def draw_place(position, x, top, step)
          y = top + (position.beside ? HANG_Y : BAND_Y)
          ring = Svg.tag(:circle, cx: x, cy: y, r: 22, class: "ring")
          before = [stem(position, x, top), ring, %(<g transform="translate(#{(x - 16).round(1)} #{(y -
            16).round(1)})">)].join(" ")
          PlaceDrawing.new(position.key, position.name, before,
            "</g> #{label(position, x, y, (step / PX_A_LETTER).floor)}")
        end

        def stem(position, x, top)
          return "" unless position.beside

          Svg.tag(:line, x1: x, y1: top + BAND_Y + (BAND / 2), x2: x, y2: top + HANG_Y - 14, class: "stem")
        end

        def label(position, x, y, letters)
          return "" unless @form[:labels]

          lines = wrapped(position.name, letters).each_with_index.map do |line, index|
            Svg.tag(:tspan, Svg.escape(line), x: x, y: y + 36 + (index * 15))
          end
          Svg.tag(:text, lines.join(" "), class: "place-name", text_anchor: "middle")
        end

        def wrapped(name, letters)
          name.split.each_with_object([+""]) do |word, lines|
            lines << +"" if lines.last.length + word.length >= letters && !lines.last.empty?
            lines.last << (lines.last.empty? ? word : " #{word}")
          end.first(2)
        end
      end
    end
  end
end
