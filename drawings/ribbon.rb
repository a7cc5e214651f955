# frozen_string_literal: true

module UprightBench
  module Drawings
    # A machine as its airway: one ribbon from the floor to the exhaust, with a station for each stop and a mark for
    # each position. What sits beside the path hangs from it. Folds into rows where the width is small.
    class Ribbon
      WIDE = { width: 1200, slot: 77, row: 150, labels: true }.freeze
      NARROW = { width: 360, slot: 56, row: 118, labels: false }.freeze

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
        layout = Layout.of(@sheet, form)
        Svg.image(form[:width], layout.height, layout.rows.map do |band, stations|
          band + stations.map { |station| draw_station(station) }.join
        end.join,
          label: "Air path of #{@sheet.title}", role: @link ? "group" : "img", class: css)
      end

      private

      def draw_station(station)
        in_hand = station.places.any? { |place| place.key == @current }
        (in_hand ? station.box_in_hand : station.box) + station.name + station.places.map { |place| draw_place(place) }
          .join
      end

      def draw_place(place)
        mark = @marks.fetch(place.key, :unseen)
        linked(place, mark, place.before + Mark.inner(mark) + place.after)
      end

      def words(place, mark)
        [place.name, @notes[place.key] || Mark::WORDS.fetch(mark)].join(": ")
      end

      # The name that is heard begins with what is seen: the mark's letter, then the place.
      def linked(place, mark, content)
        unless @link
          return Svg.tag(:g, Svg.tag(:title, Svg.escape(words(place, mark))) + content, class: "place mark-#{mark}")
        end

        Svg.tag(:a, content, href: @link.call(place.key), class: "place mark-#{mark}", data_position: place.key,
          aria_label: [Mark::LETTERS[mark], words(place, mark)].compact.join(" "),
          aria_current: (place.key == @current ? "true" : nil))
      end
    end
  end
end
