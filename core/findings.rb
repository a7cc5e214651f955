# frozen_string_literal: true

module UprightBench
  module Core
    # What is seen or measured at a position, and what it means.
    #
    # KINDS is the one table of what may be recorded for each kind of part: the name of each field, and the Field. What
    # is the part's own stands in OF_KIND, what may be seen anywhere in ANYWHERE.
    module Findings
      def self.scale(label, values, words = {})
        Fields::Scale.new(label: label, options: values, words_of: words)
      end

      def self.choice(label, *values, needs: nil)
        Fields::Choice.new(label: label, options: values, needs: needs)
      end

      def self.states(label, kind)
        choice(label, *States::TABLE.fetch(kind).keys)
      end

      def self.flag(label)
        Fields::Flag.new(label: label)
      end

      def self.measure(label, unit, range, needs: nil)
        Fields::Measure.new(label: label, unit: unit, range: range, needs: needs)
      end

      def self.text(label)
        Fields::Text.new(label: label)
      end
      private_class_method :scale, :choice, :states, :flag, :measure, :text

      # What may be seen at any place.
      ANYWHERE = {
        dirty: flag("Dirty or greasy"), smell: flag("Smells"), wet: flag("Wet"), cracked: flag("Cracked"),
        foreign: text("Foreign thing found"), note: text("Note")
      }.freeze

      OF_KIND = {
        filter: {
          grey: scale("Grey", (0..5).to_a, { 0 => "white", 5 => "as dark as the reference" }),
          torn: flag("Torn or out of shape"), smell: flag("Smells"), damp: flag("Damp"),
          loose: flag("Loose, or not locked"),
          after_wash: flag("Already washed today"),
          indicator_percent: measure("Indicator", "%", 0..100, needs: "indicator")
        },
        brush: { standout_mm: measure("Bristles beyond the guide bars", "mm", -5..40), gaps: flag("Bristles missing") },
        roll: { turns: states("Roll", :roll), bristles: choice("Bristles", "full", "worn", "missing"),
                light: choice("Status light", "fine", "shows a fault", needs: "status_light") },
        side_brush: { state: states("Side brush", :side_brush) },
        wiper: { state: states("Strip", :wiper) },
        guide_bars: { state: states("Guide bars", :guide_bars) },
        window: { state: states("Window", :window) },
        wheels: { state: states("Wheels", :wheels) },
        vents: { state: states("Vents", :vents) },
        path: { state: states("Airflow", :path) },
        flap: { state: states("Flap", :flap) },
        comb: { state: states("Comb", :comb) },
        pedal: { state: states("Pedal", :pedal) },
        valve: { state: states("Bleed valve", :valve) },
        bag: { fill_percent: measure("Full", "%", 0..100), burst: flag("Burst") },
        bin: { fill_percent: measure("Full", "%", 0..100), cracked: flag("Cracked"),
               haze: flag("Hazed by fine scratches") },
        screen: { state: states("Screen", :screen) },
        cyclone: { state: states("Cyclone", :cyclone) },
        sensor: { state: states("Seat sensor", :sensor) },
        motor: { state: states("Motor", :motor) },
        carbon: { length_mm: measure("Carbon left", "mm", 0..60), sparks: flag("Sparks") },
        belt: { length_mm: measure("Length", "mm", 50..3000), cracked: flag("Cracked, glazed or torn") },
        seal: { state: states("Seal", :seal) },
        contacts: { state: states("Contacts", :contacts) },
        battery: { state: states("Pack", :battery),
                   run_minutes: measure("Run time, normal setting", "min", 0..240, needs: "run_minutes"),
                   run_minutes_full: measure("Run time, full power", "min", 0..120, needs: "run_minutes_full"),
                   charging: choice("Charging light", "steady", "flashes red") },
        lead: { state: states("Lead", :lead) },
        tank: { state: states("Tank", :tank) },
        pad: { state: states("Pad", :pad) },
        dock: { state: states("Dock", :dock) }
      }.freeze

      # What stands there in the part's own words, under another name.
      SAID_OTHERWISE = { filter: %i[wet], pad: %i[dirty], tank: %i[dirty], contacts: %i[dirty],
                         window: %i[cracked dirty], wiper: %i[dirty], seal: %i[dirty] }
        .tap { |otherwise| otherwise.default = [].freeze }.freeze

      # @param kind [Symbol]
      # @return [Hash{Symbol=>Field}] what may be seen there as anywhere
      def self.anywhere(kind)
        ANYWHERE.except(*OF_KIND.fetch(kind).keys, *SAID_OTHERWISE[kind])
      end

      KINDS = OF_KIND.to_h { |kind, fields| [kind, { **fields, **anywhere(kind) }.freeze] }.freeze

      # Where a fault can hurt somebody, nobody says "all the rest is fine": it is looked at by itself.
      ONE_BY_ONE = %i[lead battery motor carbon contacts].freeze

      # What may be recorded of the part itself at a position of a sheet.
      #
      # @param position [Sheets::Position]
      # @return [Hash{Symbol=>Field}]
      def self.fields(position)
        OF_KIND.fetch(position.kind).select { |_, field| field.needs.nil? || position.asks_for?(field.needs) }
      end

      # What "it is fine" records at a position: the good word where there is one, else nothing but the verdict.
      #
      # @param position [Sheets::Position]
      # @return [Hash{Symbol=>String}]
      def self.fine(position)
        name, field = KINDS.fetch(position.kind).first
        field.fine ? { name => field.fine } : {}
      end
    end
  end
end
