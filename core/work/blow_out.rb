# frozen_string_literal: true

module UprightBench
  module Core
    module Work
      # Compressed air as a step of its own: which places it is for, and what it may have lifted, which is looked at
      # afterwards (common practice: a gasket that lifted when parts were blown out leaks as surely as a torn one).
      class BlowOut
        ACTIONS = %w[clean].freeze

        # @param sheet [Sheets::Sheet]
        # @param work [Array<#position, #action>] in order of work
        def initialize(sheet, work)
          @sheet = sheet
          @work = work
        end

        # @return [Array<Sheets::Position>]
        def places
          @places ||= @work.select { |item| ACTIONS.include?(item.action.to_s) }
            .map { |item| @sheet.position(item.position) }.select(&:blow_out)
        end

        # @return [Array<String>] seals at the stations where air was blown, and what else may lift on the way there
        def light
          stations = places.map(&:station).uniq
          seals = @sheet.walk.select { |place| place.kind == :seal && stations.include?(place.station) }.map(&:name)
          lifting = Strip::Ways.new(@sheet).to(places.map(&:key)).flat_map(&:may_lift)
          (seals + lifting).map(&:downcase).uniq
        end
      end
    end
  end
end
