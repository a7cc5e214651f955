# frozen_string_literal: true

module UprightBench
  module Drawings
    # A machine as its airway: one ribbon from the floor to the exhaust, with a station for each stop and a mark for
    # each position. What sits beside the path hangs from it. Folds into rows where the width is small.
    class Ribbon
      BAND = 30          # thickness of the ribbon
      BAND_Y = 46        # its middle, from the top of a row
      HANG_Y = 92        # middle of a mark that hangs
      WIDE = { width: 1200, slot: 77, row: 150, labels: true }.freeze
      NARROW = { width: 360, slot: 56, row: 118, labels: false }.freeze
      EDGE = 16
      PX_A_LETTER = 7.0

      # @param sheet [Core::Sheets::Sheet]
      # @param marks [Hash{String=>Symbol}] position => mark; unseen when left out
      # @param current [String, nil] the position in hand
      # @param link [#call, nil] position key => address
      # @param notes [Hash{String=>String}] position => words for those who point at it
      def initialize(sheet:, marks: {}, current: nil, link: nil, notes: {})
        @sheet = sheet
        @marks = marks
        @current = current
        @link = link
        @notes = notes
      end

      # @return [String] both forms; the stylesheet shows the one that fits
      def render
        draw(WIDE, "ribbon ribbon-wide") + draw(NARROW, "ribbon ribbon-narrow")
      end

      # @return [String] one form
      def draw(form, css)
        @form = form
        rows = lay
        height = rows.size * form[:row]
        Svg.image(form[:width], height, rows.each_with_index.map { |row, place| draw_row(row, place, rows.size) }.join,
                  label: "Air path of #{@sheet.title}", role: @link ? "group" : "img", class: css)
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
          rows << [] if rows.last.any? && rows.last.sum { |one| slots(one) } + slots(station) > room
          rows.last << station
        end
      end

      def slots(station)
        [@sheet.at(station.key).size, 1].max
      end

      def draw_row(stations, place, count)
        top = place * @form[:row]
        step = (@form[:width] - (2 * EDGE)) / stations.sum { |station| slots(station) }.to_f
        left = EDGE.to_f
        band(top, place.zero?, place == count - 1) + stations.map do |station|
          drawn = draw_station(station, left, step, top)
          left += step * slots(station)
          drawn
        end.join
      end

      # The floor end flares, the exhaust end points on; between rows the ribbon runs off and comes back.
      def band(top, first, last)
        y = top + BAND_Y
        half = BAND / 2
        right = @form[:width] - EDGE
        start = first ? "M2 #{y + half + 9}L#{EDGE + 12} #{y + half}" : "M0 #{y + half}"
        back = first ? "L#{EDGE + 12} #{y - half}L2 #{y - half - 9}z" : "L0 #{y - half}z"
        finish = last ? "L#{right} #{y + half}L#{@form[:width] - 2} #{y}L#{right} #{y - half}" : "L#{@form[:width]} #{y + half}V#{y - half}"
        Svg.tag(:path, d: start + finish + back, class: "band")
      end

      def draw_station(station, left, step, top)
        width = step * slots(station)
        places = @sheet.at(station.key)
        in_hand = places.any? { |position| position.key == @current }
        back = Svg.tag(:rect, x: left + 2, y: top + 2, width: width - 4, height: @form[:row] - 6, rx: 6, data_station: station.key,
                              class: in_hand ? "station station-in-hand" : "station")
        name = Svg.text(station.name, x: left + (width / 2), y: top + 20, class: "station-name", text_anchor: "middle")
        back + name + joint(left, top) + places.each_with_index.map { |position, place| draw_position(position, left + (step * (place + 0.5)), top, step) }.join
      end

      def joint(left, top)
        return "" if left <= EDGE

        Svg.tag(:line, x1: left, y1: top + BAND_Y - (BAND / 2), x2: left, y2: top + BAND_Y + (BAND / 2), class: "joint")
      end

      def draw_position(position, x, top, step)
        y = top + (position.beside ? HANG_Y : BAND_Y)
        mark = @marks.fetch(position.key, :unseen)
        drawn = [stem(position, x, top), ring(x, y), placed(mark, x, y), label(position, x, y, (step / PX_A_LETTER).floor)].join(" ")
        linked(position, mark, drawn)
      end

      def words(position, mark)
        [position.name, @notes[position.key] || Mark::WORDS.fetch(mark)].join(": ")
      end

      # The name that is heard begins with what is seen: the mark's letter, then the place.
      def linked(position, mark, content)
        return Svg.tag(:g, Svg.tag(:title, Svg.escape(words(position, mark))) + content, class: "place mark-#{mark}") unless @link

        Svg.tag(:a, content, href: @link.call(position.key), class: "place mark-#{mark}", data_position: position.key,
                             aria_label: [Mark::LETTERS[mark], words(position, mark)].compact.join(" "), aria_current: (position.key == @current ? "true" : nil))
      end

      def stem(position, x, top)
        return "" unless position.beside

        Svg.tag(:line, x1: x, y1: top + BAND_Y + (BAND / 2), x2: x, y2: top + HANG_Y - 14, class: "stem")
      end

      def ring(x, y)
        Svg.tag(:circle, cx: x, cy: y, r: 22, class: "ring")
      end

      def placed(mark, x, y)
        Svg.tag(:g, Mark.inner(mark), transform: "translate(#{(x - 16).round(1)} #{(y - 16).round(1)})")
      end

      def label(position, x, y, letters)
        return "" unless @form[:labels]

        lines = wrapped(position.name, letters).each_with_index.map { |line, place| Svg.tag(:tspan, Svg.escape(line), x: x, y: y + 36 + (place * 15)) }
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
