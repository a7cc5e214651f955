# frozen_string_literal: true

module UprightBench
  module Services
    # Asks the core which parts fit positions of a machine, with two queries however many positions there are.
    class FitFor
      # @param sheet [Core::Sheets::Sheet]
      # @param machine [Models::Machine]
      # @param today [Date]
      def initialize(sheet, machine, today:, smell: false)
        @sheet = sheet
        @machine = machine
        @wants = Core::Fit::Wants.new(allergy: machine.allergy, smell: smell, in_warranty: machine.warranty(today).in?)
      end

      # @param keys [Array<String>] positions
      # @return [Hash{String=>Core::Fit::Answer}]
      def call(keys)
        places = keys.map { |key| @sheet.position(key) }
        rules = Models::FitRule.where(position: keys).map(&:to_core)
        parts = parts_for(places, rules)
        places.to_h { |place| [place.key, answer(place, parts, rules)] }
      end

      private

      # Named at these positions, or of their kind: only those can fit or look alike.
      def parts_for(places, rules)
        wanted = Sequel.|({ Sequel[:parts][:id] => rules.map(&:part_id).uniq }, { Sequel[:parts][:kind] => places.map { |place| place.kind.to_s }.uniq })
        Models::Part.where(wanted)
                    .eager_graph(:stock_level).all.map(&:to_core)
      end

      def answer(place, parts, rules)
        Core::Fit::Find.new(position: place, parts: parts, rules: rules, wants: @wants,
                            machine: Core::Fit::Machine.of(@sheet, plate: @machine.plate)).call
      end
    end
  end
end
